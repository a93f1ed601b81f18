import type { Queryable } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import { lockMockup } from '../db/tables/mockups';
import { insertAsset, insertRevision, type NewRevision } from '../db/tables/revisions';
import type { PackedReading } from '../workers/packReading';

/** A reading whose bytes are stored: what a revision or a reading on the way to the shelf consists of. */
export interface StoredReading extends Omit<NewRevision, 'mockupId' | 'cause'> {
  /** Digests of the assets by their names. */
  readonly assets: Readonly<Record<string, string>>;
}

/** Stores the blobs of a reading. */
export async function storeReading(
  client: Queryable,
  fileName: string,
  source: Uint8Array,
  { tree, assets, findings, picture, layerCount, layerIds }: PackedReading,
): Promise<StoredReading> {
  const digests: Record<string, string> = {};
  for (const [name, asset] of assets) digests[name] = await putBlob(client, asset);
  return {
    fileName,
    sourceDigest: await putBlob(client, source),
    pictureDigest: await putBlob(client, picture),
    tree,
    findings,
    layerCount,
    layerIds,
    assets: digests,
  };
}

/** Adds a stored reading to a mockup as its newest revision. */
export async function addRevision(
  client: Queryable,
  mockupId: string,
  { assets, ...reading }: StoredReading,
  cause: NewRevision['cause'],
): Promise<void> {
  // Two readings of one mockup at once have a number each.
  await lockMockup(client, mockupId);
  const revisionId = await insertRevision(client, { ...reading, mockupId, cause });
  for (const [name, digest] of Object.entries(assets)) await insertAsset(client, revisionId, name, digest);
}
