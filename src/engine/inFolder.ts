import path from 'node:path';

/** The path of a file inside a folder; null for one that leads out of it. */
export function inFolder(folder: string, file: string): string | null {
  const root = path.resolve(folder);
  const target = path.join(root, file);
  return target.startsWith(root + path.sep) ? target : null;
}
