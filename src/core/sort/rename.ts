import { safePath } from './outputNames';

/** How names are changed: letters found and replaced, then something put before and after. */
export interface Renaming {
  readonly find: string;
  readonly replace: string;
  readonly prefix: string;
  readonly suffix: string;
}

export const NO_RENAMING: Renaming = { find: '', replace: '', prefix: '', suffix: '' };

/** The name after renaming, made safe for files and classes (a slash makes a folder of the pictures); the old one when nothing would be left of it. */
export function renamed(name: string, { find, replace, prefix, suffix }: Renaming): string {
  const replaced = find === '' ? name : name.replaceAll(find, replace);
  return safePath(`${prefix}${replaced}${suffix}`) || name;
}

/** The names that would be there more than once: among those that are renamed, or with others that stay. */
export function collidingNames(names: readonly string[], others: Iterable<string>): ReadonlySet<string> {
  const seen = new Set(others);
  const twice = new Set<string>();
  for (const name of names) {
    if (seen.has(name)) twice.add(name);
    seen.add(name);
  }
  return twice;
}
