import Joi from 'joi';
import { inTransaction, type Queryable } from '../db/pool';
import { insertMockup } from '../db/tables/mockups';
import { insertProject } from '../db/tables/projects';
import { getWholeReading, removeReading } from '../db/tables/readings';
import { passFonts } from '../db/tables/fonts';
import { addRevision, storeReading, type StoredReading } from './storeReading';
import type { PackedReading } from '../workers/packReading';
import { NOT_FOUND, uuid } from '../http';

export interface AddedProject {
  readonly projectId: string;
  readonly mockupId: string;
}

export interface NewProject {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly reading: PackedReading;
  readonly demoDigest: string | null;
}

export const newProjectSchema = Joi.object<{ reading: string }>({ reading: uuid.required() });

/** Puts a reading on the shelf, in one transaction. */
export function addProject({ bytes, fileName, reading, demoDigest }: NewProject): Promise<AddedProject> {
  return inTransaction(async (client) =>
    insertAll(client, reading, await storeReading(client, fileName, bytes, reading), demoDigest),
  );
}

/** Puts a stored reading on the shelf, and removes the reading. */
export function shelveReading(id: string): Promise<AddedProject> {
  return inTransaction(async (client) => {
    const row = await getWholeReading(client, id);
    if (!row || !(await removeReading(client, id))) throw NOT_FOUND('This reading');
    const reading = {
      fileName: row.file_name,
      sourceDigest: row.source_digest,
      pictureDigest: row.picture_digest,
      tree: row.tree,
      findings: row.findings,
      layerCount: row.layer_count,
      layerIds: row.layer_ids,
      assets: row.assets,
    };
    const added = await insertAll(client, row, reading, null);
    await passFonts(client, id, added.projectId);
    return added;
  });
}

async function insertAll(
  client: Queryable,
  { name, format }: Pick<PackedReading, 'name'> & { readonly format: string },
  reading: StoredReading,
  demoDigest: string | null,
): Promise<AddedProject> {
  const projectId = await insertProject(client, name, demoDigest);
  const mockupId = await insertMockup(client, projectId, name, format);
  await addRevision(client, mockupId, reading, 'file');
  return { projectId, mockupId };
}
