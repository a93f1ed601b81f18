/**
 * What each of the things gives, one after the other; what is no list is one thing. For the lists of thousands that every
 * edit goes through: `Array.prototype.flatMap` does the same, and takes V8 twenty times as long.
 */
export function gather<From, Given>(
  all: readonly From[],
  give: (from: From, at: number) => readonly Given[] | Given,
): Given[] {
  const gathered: Given[] = [];
  for (let at = 0; at < all.length; at++) {
    const given = give(all[at]!, at);
    if (Array.isArray(given)) for (const each of given as readonly Given[]) gathered.push(each);
    else gathered.push(given as Given);
  }
  return gathered;
}
