import type { ConvertOptions } from '../../../core/convert';
import type { Queryable } from '../pool';

export interface MockupRow {
  readonly id: string;
  readonly project_id: string;
  readonly name: string;
  readonly format: string;
  /** How the page is to be built; null as long as nobody said so. */
  readonly build_options: ConvertOptions | null;
  /** The name of its project. */
  readonly project: string;
}

const INSERT = 'insert into mockups (project_id, name, format) values ($1, $2, $3) returning id';
const SELECT = `
  select m.id, m.project_id, m.name, m.format, m.build_options, p.name as project
    from mockups m join projects p on p.id = m.project_id where m.id = $1`;
const SET_OPTIONS = 'update mockups set build_options = $2 where id = $1';
const LOCK = 'select id from mockups where id = $1 for update';

export async function insertMockup(
  db: Queryable,
  projectId: string,
  name: string,
  format: string,
): Promise<string> {
  const { rows } = await db.query<{ id: string }>(INSERT, [projectId, name, format]);
  return rows[0]!.id;
}

export async function getMockup(db: Queryable, id: string): Promise<MockupRow | null> {
  const { rows } = await db.query<MockupRow>(SELECT, [id]);
  return rows[0] ?? null;
}

/** Locks the mockup until the transaction ends, so that edits are serialised. False when it is gone. */
export async function lockMockup(db: Queryable, id: string): Promise<boolean> {
  const { rows } = await db.query(LOCK, [id]);
  return rows.length > 0;
}

/** False when the mockup is gone. */
export async function setBuildOptions(db: Queryable, id: string, options: ConvertOptions): Promise<boolean> {
  const { rowCount } = await db.query(SET_OPTIONS, [id, JSON.stringify(options)]);
  return rowCount === 1;
}
