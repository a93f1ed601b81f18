import type { GivenFont } from '../../../core/type/fontBook';
import type { Queryable } from '../pool';

export interface FontRow {
  readonly digest: string;
  readonly file_name: string;
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
}

const PUT = `
  insert into fonts (digest, file_name, family, weight, italic) values ($1, $2, $3, $4, $5)
  on conflict (digest) do nothing`;
const SELECT = `
  select f.digest, f.file_name, f.family, f.weight, f.italic, b.bytes
    from fonts f join blobs b on b.digest = f.digest order by f.created_at`;

export async function putFont(db: Queryable, font: FontRow): Promise<void> {
  await db.query(PUT, [font.digest, font.file_name, font.family, font.weight, font.italic]);
}

/** Every added font with its file's bytes. */
export async function addedFonts(db: Queryable): Promise<readonly GivenFont[]> {
  const { rows } = await db.query<FontRow & { readonly bytes: Buffer }>(SELECT);
  return rows.map(({ digest, family, weight, italic, bytes }) => ({
    family,
    weight,
    italic,
    source: 'added',
    asset: `font-${digest.slice(0, 16)}`,
    bytes: new Uint8Array(bytes),
  }));
}
