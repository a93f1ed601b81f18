import type { Change } from '../../../core/sort/change';
import type { Queryable } from '../pool';

export type EditKind = 'set' | 'undo' | 'redo';

export interface EditRow {
  readonly id: string;
  readonly kind: EditKind;
  readonly about: string | null;
}

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
const TRAIL = 'select id, kind, about from edits where mockup_id = $1 order by id';
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

/** All edits of a mockup in order, without their changes. */
export async function editTrail(db: Queryable, mockupId: string): Promise<readonly EditRow[]> {
  const { rows } = await db.query<EditRow>(TRAIL, [mockupId]);
  return rows;
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
