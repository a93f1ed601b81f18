import { readFile } from 'node:fs/promises';
import Joi from 'joi';
import { SHIPPED, shippedPath } from '../../engine/fonts/shipped';
import { pool } from '../db/pool';
import { newestRevision, revisionAssets } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';

export interface FontFileQuery {
  readonly source: 'shipped' | 'embedded' | 'added';
  readonly file: string;
}

export const fontSchema = Joi.object<FontFileQuery>({
  source: Joi.string().valid('shipped', 'embedded', 'added').required(),
  file: Joi.string().max(300).required(),
});

/** The bytes of a font in a mockup's texts. */
export async function mockupFont(mockupId: string, { source, file }: FontFileQuery): Promise<Uint8Array> {
  if (source === 'shipped') {
    if (!SHIPPED.some((face) => face.file === file)) throw NOT_FOUND('This font');
    return readFile(shippedPath(file));
  }
  const newest = await newestRevision(pool(), mockupId);
  if (!newest) throw NOT_FOUND('This mockup');
  const bytes = (await revisionAssets(pool(), newest.id)).get(file);
  if (!bytes) throw NOT_FOUND('This font');
  return bytes;
}
