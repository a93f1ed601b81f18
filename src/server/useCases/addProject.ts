import Joi from 'joi';
import { countLayers } from '../../core/sort/structuralTags';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import { inTransaction, type Queryable } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import { insertMockup } from '../db/tables/mockups';
import { insertProject } from '../db/tables/projects';
import { getReading, removeReading } from '../db/tables/readings';
import { insertAsset, insertRevision, type NewRevision } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';

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

export const newProjectSchema = Joi.object<{ reading: string }>({ reading: Joi.string().uuid().required() });

/** Puts a reading on the shelf, in one transaction. */
export function addProject({ bytes, fileName, reading, demoDigest }: NewProject): Promise<AddedProject> {
  const { mockup, assets, findings, picture } = reading;
  return inTransaction(async (client) => {
    const digests: [string, string][] = [];
    for (const [name, asset] of assets) digests.push([name, await putBlob(client, asset)]);
    const revision = {
      fileName,
      sourceDigest: await putBlob(client, bytes),
      pictureDigest: await putBlob(client, new TextEncoder().encode(picture)),
      tree: mockup,
      findings,
      layerCount: countLayers(mockup),
    };
    return insertAll(client, revision, digests, demoDigest);
  });
}

/** Puts a stored reading on the shelf, and removes the reading. */
export function shelveReading(id: string): Promise<AddedProject> {
  return inTransaction(async (client) => {
    const row = await getReading(client, id);
    if (!row || !(await removeReading(client, id))) throw NOT_FOUND('This reading');
    const revision = {
      fileName: row.file_name,
      sourceDigest: row.source_digest,
      pictureDigest: row.picture_digest,
      tree: row.tree,
      findings: row.findings,
      layerCount: row.layer_count,
    };
    return insertAll(client, revision, Object.entries(row.assets), null);
  });
}

async function insertAll(
  client: Queryable,
  revision: Omit<NewRevision, 'mockupId'>,
  assets: readonly (readonly [name: string, digest: string])[],
  demoDigest: string | null,
): Promise<AddedProject> {
  const { name, format } = revision.tree;
  const projectId = await insertProject(client, name, demoDigest);
  const mockupId = await insertMockup(client, projectId, name, format);
  const revisionId = await insertRevision(client, { ...revision, mockupId });
  for (const [asset, digest] of assets) await insertAsset(client, revisionId, asset, digest);
  return { projectId, mockupId };
}
