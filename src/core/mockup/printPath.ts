import type svgpath from 'svgpath';

/**
 * The path as data with a letter for every command. Omitted letters are shorter, but the parser takes
 * quadratic time for them.
 */
export function printPath(path: ReturnType<typeof svgpath>): string {
  const parts: string[] = [];
  path.iterate(([command, ...numbers]) => {
    parts.push(`${command}${numbers.join(' ')}`);
  });
  return parts.join('');
}
