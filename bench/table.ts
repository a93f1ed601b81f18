/** A table of text, its columns as wide as their widest cell; all but the first are set to the right. */
export function textTable(head: readonly string[], rows: readonly (readonly string[])[]): string {
  const widths = head.map((_, at) => Math.max(...[head, ...rows].map((row) => row[at]?.length ?? 0)));
  const line = (row: readonly string[]) =>
    row
      .map((cell, at) => (at === 0 ? cell.padEnd(widths[at] ?? 0) : cell.padStart(widths[at] ?? 0)))
      .join('  ');
  return [line(head), widths.map((width) => '-'.repeat(width)).join('  '), ...rows.map(line)].join('\n');
}
