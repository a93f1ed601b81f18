import type svgpath from 'svgpath';

/**
 * The path as data with a letter for every command. Left-out letters are shorter, but the parser takes the square
 * of their number in time.
 */
export function printPath(path: ReturnType<typeof svgpath>): string {
  const parts: string[] = [];
  path.iterate(([command, ...numbers]) => {
    parts.push(`${command}${numbers.join(' ')}`);
  });
  return parts.join('');
}
