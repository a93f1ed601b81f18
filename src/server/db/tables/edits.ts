import type { Change } from '../../../core/sort/change';
import type { Queryable } from '../pool';

export type EditKind = 'set' | 'undo' | 'redo';

/** The window of an edit, and the name of its person. */
export interface Editor {
  readonly id: string;
  readonly name: string;
}

export interface NewEdit {
  readonly kind: EditKind;
  readonly about: string | null;
  readonly changes: readonly Change[];
  readonly editor: Editor | null;
}

const INSERT = `
  insert into edits (mockup_id, kind, about, changes, editor_id, editor_name) values ($1, $2, $3, $4, $5, $6)
  returning id`;
/**
 * An edit is undone while the newest undo or redo about it is an undo. Undo takes the newest edit that is not
 * undone; redo takes the one undone last, unless an edit was made since.
 */
const HISTORY = `
  with latest as (
    select distinct on (about) about, kind, id from edits
    where mockup_id = $1 and about is not null order by about, id desc
  )
  select
    (select max(edits.id) from edits left join latest on latest.about = edits.id
      where mockup_id = $1 and edits.kind = 'set' and latest.kind is distinct from 'undo') as undo,
    (select about from latest
      where kind = 'undo' and id > (select max(id) from edits where mockup_id = $1 and kind = 'set')
      order by id desc limit 1) as redo,
    coalesce((select max(id) from edits where mockup_id = $1), 0) as newest`;
const AFTER = `
  select id, changes, editor_id, editor_name from edits where mockup_id = $1 and id > $2 order by id limit 500`;
const CHANGES = 'select changes from edits where id = $1';

export async function insertEdit(
  db: Queryable,
  mockupId: string,
  { kind, about, changes, editor }: NewEdit,
): Promise<string> {
  const { rows } = await db.query<{ id: string }>(INSERT, [
    mockupId,
    kind,
    about,
    JSON.stringify(changes),
    editor?.id ?? null,
    editor?.name ?? '',
  ]);
  return rows[0]!.id;
}

export interface LaterEditRow {
  readonly id: string;
  readonly changes: readonly Change[];
  readonly editor_id: string | null;
  readonly editor_name: string;
}

/** The ids of the edits that undo and redo would revert, null for none, and of the newest edit, `0` for none. */
export interface History {
  readonly undo: string | null;
  readonly redo: string | null;
  readonly newest: string;
}

export async function editHistory(db: Queryable, mockupId: string): Promise<History> {
  const { rows } = await db.query<History>(HISTORY, [mockupId]);
  return rows[0]!;
}

/** Whether there is an edit to undo and one to redo. */
export function historyFlags({ undo, redo }: History): {
  readonly canUndo: boolean;
  readonly canRedo: boolean;
} {
  return { canUndo: undo !== null, canRedo: redo !== null };
}

/** The edits after the one with that id, the oldest first, 500 at most. */
export async function editsAfter(
  db: Queryable,
  mockupId: string,
  id: string,
): Promise<readonly LaterEditRow[]> {
  const { rows } = await db.query<LaterEditRow>(AFTER, [mockupId, id]);
  return rows;
}

export async function editChanges(db: Queryable, id: string): Promise<readonly Change[]> {
  const { rows } = await db.query<{ changes: Change[] }>(CHANGES, [id]);
  return rows[0]?.changes ?? [];
}
