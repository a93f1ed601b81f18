import Joi from 'joi';
import type { Change } from '../../core/sort/change';
import { pool } from '../db/pool';
import { editHistory, editsAfter, historyFlags } from '../db/tables/edits';
import { getMockup } from '../db/tables/mockups';
import { NOT_FOUND } from '../http';

/** The edits since a given one, of all windows. */
export interface Followed {
  /** The newest edit, for the next request. */
  readonly lastEdit: string;
  readonly changes: readonly Change[];
  /** Absent while there are no changes. */
  readonly canUndo?: boolean;
  readonly canRedo?: boolean;
}

export const followSchema = Joi.object<{ readonly after: string }>({
  after: Joi.string()
    .pattern(/^\d{1,18}$/)
    .default('0'),
});

/**
 * @param after the id of the last known edit, `0` for none
 * @param person whose undo and redo are told
 */
export async function followEdits(
  mockupId: string,
  after: string,
  person: string | null = null,
): Promise<Followed> {
  const db = pool();
  if (!(await getMockup(db, mockupId))) throw NOT_FOUND('This mockup');
  const edits = await editsAfter(db, mockupId, after);
  const newest = edits.at(-1);
  // Windows ask every few seconds: without news nothing else is looked up.
  if (!newest) return { lastEdit: after, changes: [] };
  return {
    lastEdit: newest.id,
    changes: edits.flatMap(({ changes }) => changes),
    ...historyFlags(await editHistory(db, mockupId, person)),
  };
}
