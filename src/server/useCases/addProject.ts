import Joi from 'joi';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import { inTransaction, type Queryable } from '../db/pool';
import { insertMockup } from '../db/tables/mockups';
import { insertProject } from '../db/tables/projects';
import { getReading, removeReading } from '../db/tables/readings';
import { addRevision, storeReading, type StoredReading } from './storeReading';
import { NOT_FOUND, uuid } from '../http';

export interface AddedProject {
  readonly projectId: string;
  readonly mockupId: string;
}

export interface NewProject {
  readonly bytes: Uint8Array;
  readonly fileName: string;
  readonly reading: ReadWithPicture;
  readonly demoDigest: string | null;
}

export const newProjectSchema = Joi.object<{ reading: string }>({ reading: uuid.required() });

/** Puts a reading on the shelf, in one transaction. */
export function addProject({ bytes, fileName, reading, demoDigest }: NewProject): Promise<AddedProject> {
  return inTransaction(async (client) =>
    insertAll(client, await storeReading(client, fileName, bytes, reading), demoDigest),
  );
}

/** Puts a stored reading on the shelf, and removes the reading. */
export function shelveReading(id: string): Promise<AddedProject> {
  return inTransaction(async (client) => {
    const row = await getReading(client, id);
    if (!row || !(await removeReading(client, id))) throw NOT_FOUND('This reading');
    const reading = {
      fileName: row.file_name,
      sourceDigest: row.source_digest,
      pictureDigest: row.picture_digest,
      tree: row.tree,
      findings: row.findings,
      layerCount: row.layer_count,
      assets: row.assets,
    };
    return insertAll(client, reading, null);
  });
}

async function insertAll(
  client: Queryable,
  reading: StoredReading,
  demoDigest: string | null,
): Promise<AddedProject> {
  const { name, format } = reading.tree;
  const projectId = await insertProject(client, name, demoDigest);
  const mockupId = await insertMockup(client, projectId, name, format);
  await addRevision(client, mockupId, reading, 'file');
  return { projectId, mockupId };
}
