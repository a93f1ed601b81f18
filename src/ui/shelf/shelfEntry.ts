import type { ShelfRow } from '../../server/db/tables/projects';

/** A row of the shelf in JSON. */
export type ShelfEntry = Omit<ShelfRow, 'created_at' | 'edited_at' | 'built_at'> & {
  readonly created_at: string;
  readonly edited_at: string | null;
  readonly built_at: string | null;
};

const lastTouched = ({ edited_at, created_at }: ShelfEntry) => edited_at ?? created_at;

/** The orders of the shelf, by name. */
export const ORDERS = {
  edited: {
    label: 'Last edited first',
    compare: (one: ShelfEntry, other: ShelfEntry) => lastTouched(other).localeCompare(lastTouched(one)),
  },
  added: {
    label: 'Newest first',
    compare: (one: ShelfEntry, other: ShelfEntry) => other.created_at.localeCompare(one.created_at),
  },
  name: {
    label: 'By name',
    compare: (one: ShelfEntry, other: ShelfEntry) => one.name.localeCompare(other.name),
  },
  layers: {
    label: 'Most layers first',
    compare: (one: ShelfEntry, other: ShelfEntry) => other.layer_count - one.layer_count,
  },
} as const;
export type OrderName = keyof typeof ORDERS;

/** The projects whose name or file has all words, in that order. */
export function orderedProjects(
  entries: readonly ShelfEntry[],
  words: string,
  order: OrderName,
): readonly ShelfEntry[] {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  return entries
    .filter(({ name, file_name }) => {
      const text = `${name} ${file_name}`.toLowerCase();
      return wanted.every((word) => text.includes(word));
    })
    .toSorted(ORDERS[order].compare);
}

/** What became of a project's page, in a few words. */
export function buildState({ built_at, edits_since }: Pick<ShelfEntry, 'built_at' | 'edits_since'>): string {
  if (built_at === null) return 'Not built';
  if (edits_since === 0) return 'Built';
  return edits_since === 1 ? 'One edit since the build' : `${edits_since} edits since the build`;
}
