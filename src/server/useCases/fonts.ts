import Joi from 'joi';
import { inTransaction } from '../db/pool';
import { holdBlobs, putBlob, removeUnusedBlobs } from '../db/tables/blobs';
import type { Queryable } from '../db/pool';
import { isFontOwner, listFonts, putFont, removeFont as deleteFont, type FontRow } from '../db/tables/fonts';
import { NOT_FOUND, Refusal, uuid } from '../http';
import { readFontInWorker } from '../workers/workers';

export const addedFontSchema = Joi.object<{ readonly name: string; readonly owner: string }>({
  name: Joi.string().max(200).truncate().empty('').default('font'),
  /** The project, or the reading on the way to the shelf. */
  owner: uuid.required(),
});

export const removedFontSchema = Joi.object<{ readonly owner: string; readonly digest: string }>({
  owner: uuid.required(),
  digest: Joi.string().hex().max(64).required(),
});

/** A font file that was added to a project, or to a reading on the way to the shelf. */
export interface AddedFont {
  readonly digest: string;
  readonly fileName: string;
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  /** Bytes. */
  readonly size: number;
}

const view = ({ file_name: fileName, ...font }: FontRow): AddedFont => ({ ...font, fileName });

/** @param owner the id of a project or a reading */
export async function addedFonts(db: Queryable, owner: string): Promise<readonly AddedFont[]> {
  return (await listFonts(db, owner)).map(view);
}

/** All of them are loaded whenever a file is read. */
const MOST_FONTS = 60;
const MOST_MB = 40;

/** Adds a font file for the later readings of a project, or of a file that is not on the shelf yet. */
export async function addFont(owner: string, fileName: string, bytes: Uint8Array): Promise<AddedFont> {
  const read = await readFontInWorker({ bytes });
  if ('problem' in read) throw new Refusal(422, read.problem);
  return inTransaction(async (client) => {
    if (!(await isFontOwner(client, owner))) throw NOT_FOUND('This project');
    const digest = await putBlob(client, bytes);
    const known = (await listFonts(client, owner)).filter((font) => font.digest !== digest);
    const size = known.reduce((sum, font) => sum + font.size, bytes.length);
    if (known.length >= MOST_FONTS || size > MOST_MB * 1024 * 1024)
      throw new Refusal(
        422,
        `A project has at most ${MOST_FONTS} added fonts and ${MOST_MB} MB of them; remove one that is not needed, then add ${fileName}.`,
      );
    const row: FontRow = { digest, file_name: fileName, size: bytes.length, ...read.face };
    await putFont(client, owner, row);
    return view(row);
  });
}

/** Removes an added font. What was read with it stays as it is until it is read again. */
export function removeFont(owner: string, digest: string): Promise<{ fonts: readonly AddedFont[] }> {
  return inTransaction(async (client) => {
    await holdBlobs(client);
    if (!(await deleteFont(client, owner, digest))) throw NOT_FOUND('This font');
    await removeUnusedBlobs(client);
    return { fonts: await addedFonts(client, owner) };
  });
}
