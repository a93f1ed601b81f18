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
  /** Who made it, in whatever window; null for nobody in particular. */
  readonly person: string | null;
  /** The id that the client gave to its request; null for none. */
  readonly request: string | null;
}

/** The person of edits without one. */
const NOBODY = '00000000-0000-0000-0000-000000000000';

const INSERT = `
  insert into edits (mockup_id, kind, about, changes, editor_id, editor_name, person_id, request_id)
  values ($1, $2, $3, $4, $5, $6, $7, $8)
  returning id`;
const SET_STANDING = 'update edits set standing = $2 where id = $1';
const DROP_UNDONE = `
  update edits set standing = 'dropped'
   where mockup_id = $1 and person_id in ($2, $3) and standing = 'undone' and kind = 'set'`;
const BY_REQUEST = 'select id, changes from edits where mockup_id = $1 and request_id = $2';
/**
 * Undo takes the newest edit of the person, or of nobody in particular, that stands; redo takes the oldest undone one
 * after it. Each is the end of a part of an index: the length of the trail does not matter.
 */
const HISTORY = `
  with standing as (
    select greatest(
      (select id from edits where mockup_id = $1 and person_id = $2 and standing = 'done' and kind = 'set' order by id desc limit 1),
      (select id from edits where mockup_id = $1 and person_id = $3 and standing = 'done' and kind = 'set' order by id desc limit 1)
    ) as id)
  select
    standing.id as undo,
    least(
      (select e.id from edits e where mockup_id = $1 and person_id = $2 and standing = 'undone' and kind = 'set'
        and e.id > coalesce(standing.id, 0) order by e.id limit 1),
      (select e.id from edits e where mockup_id = $1 and person_id = $3 and standing = 'undone' and kind = 'set'
        and e.id > coalesce(standing.id, 0) order by e.id limit 1)
    ) as redo,
    coalesce((select max(id) from edits where mockup_id = $1), 0) as newest
  from standing`;
const AFTER = `
  select id, changes, editor_id, editor_name from edits where mockup_id = $1 and id > $2 order by id limit 500`;
const CHANGES = 'select changes from edits where id = $1';

export async function insertEdit(
  db: Queryable,
  mockupId: string,
  { kind, about, changes, editor, person, request }: NewEdit,
): Promise<string> {
  const { rows } = await db.query<{ id: string }>(INSERT, [
    mockupId,
    kind,
    about,
    JSON.stringify(changes),
    editor?.id ?? null,
    editor?.name ?? '',
    person ?? NOBODY,
    request,
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

/** @param person whose steps; null for those of nobody in particular */
export async function editHistory(db: Queryable, mockupId: string, person: string | null): Promise<History> {
  const { rows } = await db.query<History>(HISTORY, [mockupId, person ?? NOBODY, NOBODY]);
  return rows[0]!;
}

/** Records that an edit is undone, or that it is not any more. */
export async function setStanding(db: Queryable, id: string, standing: 'done' | 'undone'): Promise<void> {
  await db.query(SET_STANDING, [id, standing]);
}

/** Drops the edits that a person could redo, as a new one is made. */
export async function dropUndone(db: Queryable, mockupId: string, person: string | null): Promise<void> {
  await db.query(DROP_UNDONE, [mockupId, person ?? NOBODY, NOBODY]);
}

/** The changes of the edit that a request made; null when it made none yet. */
export async function changesOfRequest(
  db: Queryable,
  mockupId: string,
  request: string,
): Promise<readonly Change[] | null> {
  const { rows } = await db.query<{ changes: Change[] }>(BY_REQUEST, [mockupId, request]);
  return rows[0]?.changes ?? null;
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
