import type { GivenFont } from '../../../core/type/fontBook';
import type { Queryable } from '../pool';

/** A font file that was added to a project, or to a reading on the way to the shelf. */
export interface FontRow {
  readonly digest: string;
  readonly file_name: string;
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  /** Bytes. */
  readonly size: number;
}

const COLUMNS = 'f.digest, f.file_name, f.family, f.weight, f.italic, f.size';
const PUT = `
  insert into fonts (owner, digest, file_name, family, weight, italic, size) values ($1, $2, $3, $4, $5, $6, $7)
  on conflict (owner, digest) do nothing`;
const LIST = `select ${COLUMNS} from fonts f where owner = $1 order by f.family, f.weight, f.italic, f.digest`;
const LOAD = `
  select ${COLUMNS}, b.bytes from fonts f join blobs b on b.digest = f.digest where owner = $1 order by f.created_at`;
const REMOVE = 'delete from fonts where owner = $1 and digest = $2';
const REMOVE_ALL = 'delete from fonts where owner = $1';
const REMOVE_LOST = `
  delete from fonts where owner not in (select id from projects union all select id from readings)`;
const IS_OWNER = 'select 1 from projects where id = $1 union all select 1 from readings where id = $1';
const PASS = 'update fonts set owner = $2 where owner = $1';

/** @param owner the id of a project or a reading */
export async function putFont(db: Queryable, owner: string, font: FontRow): Promise<void> {
  const { digest, file_name, family, weight, italic, size } = font;
  await db.query(PUT, [owner, digest, file_name, family, weight, italic, size]);
}

export async function listFonts(db: Queryable, owner: string): Promise<readonly FontRow[]> {
  const { rows } = await db.query<FontRow>(LIST, [owner]);
  return rows;
}

/** The fonts of an owner with the bytes of their files. */
export async function loadFonts(db: Queryable, owner: string): Promise<readonly GivenFont[]> {
  const { rows } = await db.query<FontRow & { readonly bytes: Buffer }>(LOAD, [owner]);
  return rows.map(({ digest, family, weight, italic, bytes }) => ({
    family,
    weight,
    italic,
    source: 'added',
    asset: `font-${digest.slice(0, 16)}`,
    bytes: new Uint8Array(bytes),
  }));
}

/** False when the owner has no such font. */
export async function removeFont(db: Queryable, owner: string, digest: string): Promise<boolean> {
  const { rowCount } = await db.query(REMOVE, [owner, digest]);
  return rowCount === 1;
}

export async function removeFontsOf(db: Queryable, owner: string): Promise<void> {
  await db.query(REMOVE_ALL, [owner]);
}

/** Removes the fonts whose project or reading is gone. */
export async function removeLostFonts(db: Queryable): Promise<void> {
  await db.query(REMOVE_LOST);
}

/** True for a project on the shelf, and for a reading on the way there. */
export async function isFontOwner(db: Queryable, id: string): Promise<boolean> {
  const { rows } = await db.query(IS_OWNER, [id]);
  return rows.length > 0;
}

/** Gives the fonts of a reading to its project. */
export async function passFonts(db: Queryable, from: string, to: string): Promise<void> {
  await db.query(PASS, [from, to]);
}
