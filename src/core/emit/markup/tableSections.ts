import type { BoxNode } from '../../page/node';

/** A part of a table around rows (HTML, §4.9.5 and §4.9.6). */
export type SectionName = 'thead' | 'tbody';

/**
 * The rows of a table in its sections: those of headings, which come first, and the others.
 * @param rows the code of each row of the node
 * @param around the code of a section around the code of its rows
 */
export function inSections<Code>(
  { children }: BoxNode,
  rows: readonly Code[],
  around: (name: SectionName, rows: readonly Code[]) => Code,
): readonly Code[] {
  const first = children.findIndex((row) => row.kind !== 'box' || row.children[0]?.role !== 'header-cell');
  const headings = first === -1 ? children.length : first;
  const sections = [
    ['thead', rows.slice(0, headings)],
    ['tbody', rows.slice(headings)],
  ] as const;
  return sections.flatMap(([name, own]) => (own.length > 0 ? [around(name, own)] : []));
}
