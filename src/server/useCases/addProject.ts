import { layersOf } from '../../core/mockup/walk';
import type { ReadWithPicture } from '../../engine/readWithPicture';
import { inTransaction } from '../db/pool';
import { putBlob } from '../db/tables/blobs';
import { insertMockup } from '../db/tables/mockups';
import { insertProject } from '../db/tables/projects';
import { insertAsset, insertRevision } from '../db/tables/revisions';

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

/** Puts a read mockup on the shelf: all of it or nothing. */
export function addProject({ bytes, fileName, reading, demoDigest }: NewProject): Promise<AddedProject> {
  const { mockup, assets, findings, picture } = reading;
  return inTransaction(async (client) => {
    const projectId = await insertProject(client, mockup.name, demoDigest);
    const mockupId = await insertMockup(client, projectId, mockup.name, mockup.format);
    const revisionId = await insertRevision(client, {
      mockupId,
      fileName,
      sourceDigest: await putBlob(client, bytes),
      pictureDigest: await putBlob(client, new TextEncoder().encode(picture)),
      tree: mockup,
      findings,
      layerCount: [...layersOf(mockup)].length,
    });
    for (const [name, asset] of assets)
      await insertAsset(client, revisionId, name, await putBlob(client, asset));
    return { projectId, mockupId };
  });
}
