import { safePath } from './outputNames';

/** A rename: replace letters, then add a prefix and a suffix. */
export interface Renaming {
  readonly find: string;
  readonly replace: string;
  readonly prefix: string;
  readonly suffix: string;
}

export const NO_RENAMING: Renaming = { find: '', replace: '', prefix: '', suffix: '' };

/**
 * The renamed name, safe for files and classes (a slash makes a folder for pictures); the old name when
 * nothing would be left.
 */
export function renamed(name: string, { find, replace, prefix, suffix }: Renaming): string {
  const replaced = find === '' ? name : name.replaceAll(find, replace);
  return safePath(`${prefix}${replaced}${suffix}`) || name;
}

/** The names that would occur more than once, among the renamed ones and the others. */
export function collidingNames(names: readonly string[], others: Iterable<string>): ReadonlySet<string> {
  const seen = new Set(others);
  const twice = new Set<string>();
  for (const name of names) {
    if (seen.has(name)) twice.add(name);
    seen.add(name);
  }
  return twice;
}
