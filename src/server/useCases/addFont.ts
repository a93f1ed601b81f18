import Joi from 'joi';
import { inTransaction } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import { putFont, type FontRow } from '../db/tables/fonts';
import { Refusal } from '../http';
import { readFontInWorker } from '../workers/workers';

export const addedFontSchema = Joi.object<{ readonly name: string }>({
  name: Joi.string().max(200).truncate().empty('').default('font'),
});

/** Adds a font file for every later reading. */
export async function addFont(fileName: string, bytes: Uint8Array): Promise<FontRow> {
  const read = await readFontInWorker({ bytes });
  if ('problem' in read) throw new Refusal(422, read.problem);
  return inTransaction(async (client) => {
    const digest = await putBlob(client, bytes);
    const row: FontRow = { digest, file_name: fileName, ...read.face };
    await putFont(client, row);
    return row;
  });
}
