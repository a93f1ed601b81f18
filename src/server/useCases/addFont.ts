import Joi from 'joi';
import { readFontFile } from '../../engine/fonts/readFontFile';
import { inTransaction } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import { putFont, type FontRow } from '../db/tables/fonts';
import { Refusal } from '../http';

export const addedFontSchema = Joi.object<{ readonly name: string }>({
  name: Joi.string().max(200).truncate().empty('').default('font'),
});

/** Adds a font file for every later reading. */
export function addFont(fileName: string, bytes: Uint8Array): Promise<FontRow> {
  const { family, weight, italic } = parse(bytes);
  return inTransaction(async (client) => {
    const digest = await putBlob(client, bytes);
    const row: FontRow = { digest, file_name: fileName, family, weight, italic };
    await putFont(client, row);
    return row;
  });
}

function parse(bytes: Uint8Array) {
  try {
    return readFontFile(bytes);
  } catch (error) {
    throw new Refusal(422, error instanceof Error ? error.message : String(error));
  }
}
