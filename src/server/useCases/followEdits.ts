import { historyState, type Change } from '../../core/sort/change';
import { pool } from '../db/pool';
import { editsAfter, editTrail } from '../db/tables/edits';
import { getMockup } from '../db/tables/mockups';
import { NOT_FOUND } from '../http';

/** The edits since a given one, of all windows. */
export interface Followed {
  /** The newest edit, for the next request. */
  readonly lastEdit: string;
  readonly changes: readonly Change[];
  readonly canUndo: boolean;
  readonly canRedo: boolean;
}

/** @param after the id of the last known edit, `0` for none */
export async function followEdits(mockupId: string, after: string): Promise<Followed> {
  const db = pool();
  if (!(await getMockup(db, mockupId))) throw NOT_FOUND('This mockup');
  const edits = await editsAfter(db, mockupId, after);
  const { undo, redo } = historyState(await editTrail(db, mockupId));
  return {
    lastEdit: edits.at(-1)?.id ?? after,
    changes: edits.flatMap(({ changes }) => changes),
    canUndo: undo !== null,
    canRedo: redo !== null,
  };
}
