import type { ShelfEntry } from '../../server/useCases/shelf';
import { hasWords } from '../shared/hasWords';

const lastTouched = ({ editedAt, createdAt }: ShelfEntry) => editedAt ?? createdAt;

/** The orders of the shelf, by name. */
export const ORDERS = {
  edited: {
    label: 'Last edited first',
    compare: (one: ShelfEntry, other: ShelfEntry) => lastTouched(other).localeCompare(lastTouched(one)),
  },
  added: {
    label: 'Newest first',
    compare: (one: ShelfEntry, other: ShelfEntry) => other.createdAt.localeCompare(one.createdAt),
  },
  name: {
    label: 'By name',
    compare: (one: ShelfEntry, other: ShelfEntry) => one.name.localeCompare(other.name),
  },
  layers: {
    label: 'Most layers first',
    compare: (one: ShelfEntry, other: ShelfEntry) => other.layerCount - one.layerCount,
  },
} as const;
export type OrderName = keyof typeof ORDERS;

/** The projects whose name or file has all words, in that order. */
export function orderedProjects(
  entries: readonly ShelfEntry[],
  words: string,
  order: OrderName,
): readonly ShelfEntry[] {
  return entries
    .filter(({ name, fileName }) => hasWords(`${name} ${fileName}`, words))
    .toSorted(ORDERS[order].compare);
}

/** What became of a project's page, in a few words. */
export function buildState({ builtAt, editsSince }: Pick<ShelfEntry, 'builtAt' | 'editsSince'>): string {
  if (builtAt === null) return 'Not built';
  if (editsSince === 0) return 'Built';
  return editsSince === 1 ? 'One edit since the build' : `${editsSince} edits since the build`;
}
