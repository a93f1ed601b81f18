import { readFile, rm } from 'node:fs/promises';
import path from 'node:path';
import Joi from 'joi';
import type { OutputFile } from '../engine/produce';
import { digestOf } from '../engine/digest';
import { inFolder } from '../engine/inFolder';
import { writeFiles } from '../engine/writeFiles';
import { InputError } from './errors';

/** The list of what an earlier run wrote, with the digest of each file. */
const MANIFEST = 'orden.json';

interface ListedFile {
  readonly path: string;
  readonly sha256?: string;
}

const manifestSchema = Joi.object<{ readonly files: readonly ListedFile[] }>({
  files: Joi.array()
    .items(Joi.object({ path: Joi.string().required(), sha256: Joi.string() }).unknown())
    .required(),
}).unknown();

/**
 * Writes a build into a folder. Files that somebody edited since an earlier run stay: then nothing is written.
 * Files of an earlier run that the new one does not have are removed.
 * @throws InputError where files of others would be overwritten
 */
export async function writeBuild(
  folder: string,
  files: readonly OutputFile[],
  force: boolean,
): Promise<void> {
  const listed = await listOf(folder);
  if (!force) await refuseEdited(folder, files, listed);
  const kept = new Set(files.map((file) => file.path));
  for (const { path: file, sha256 } of listed ?? []) {
    const target = inFolder(folder, file);
    if (kept.has(file) || target === null || sha256 === undefined) continue;
    if ((await fileDigest(target)) === sha256) await rm(target);
  }
  await writeFiles(folder, files);
}

/** The files of the earlier run; null where there was none. */
async function listOf(folder: string): Promise<readonly ListedFile[] | null> {
  try {
    const { value, error } = manifestSchema.validate(
      JSON.parse(await readFile(path.join(folder, MANIFEST), 'utf8')),
    );
    return error ? null : value.files;
  } catch {
    return null;
  }
}

async function refuseEdited(
  folder: string,
  files: readonly OutputFile[],
  listed: readonly ListedFile[] | null,
): Promise<void> {
  const digests = new Map(listed?.map(({ path: file, sha256 }) => [file, sha256]));
  const edited: string[] = [];
  for (const { path: file, bytes } of files) {
    if (file === MANIFEST) continue;
    const there = await fileDigest(path.join(folder, file));
    if (there !== null && there !== digests.get(file) && there !== digestOf(bytes)) edited.push(file);
  }
  const [first] = edited;
  if (first === undefined) return;
  const what = edited.length === 1 ? first : `${first} and ${edited.length - 1} more`;
  const why = listed ? 'was changed since it was written' : 'is there already and was not written by Orden';
  throw new InputError(
    `${what} in ${folder} ${why}; nothing was written. Choose another folder, or overwrite with --force.`,
  );
}

async function fileDigest(file: string): Promise<string | null> {
  try {
    return digestOf(await readFile(file));
  } catch {
    return null;
  }
}
