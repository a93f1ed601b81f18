/**
 * Like `Array.prototype.flatMap`, which is twenty times slower in V8. For lists of thousands that every edit
 * goes through.
 */
export function flatMap<From, Given>(
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
