import { pool, type Queryable } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { getBuild } from '../db/tables/builds';
import { getRevision } from '../db/tables/revisions';
import { NOT_FOUND, Refusal } from '../http';

/** What a finished build recorded of its layers and code, a `BuildRecord` as JSON. */
export async function getBuildRecord(id: string, db: Queryable = pool()): Promise<Uint8Array> {
  const build = await getBuild(db, id);
  if (build?.state !== 'done') throw NOT_FOUND('This build');
  const bytes = build.record_digest === null ? null : await getBlob(db, build.record_digest);
  if (!bytes)
    throw new Refusal(
      409,
      'This build was made by an earlier Orden, which kept no record of its layers; build again to see them.',
    );
  return bytes;
}

/** The picture of the revision that was built, SVG. */
export async function buildPicture(id: string): Promise<Uint8Array> {
  const db = pool();
  const build = await getBuild(db, id);
  const revision = build && (await getRevision(db, build.revision_id));
  const bytes = revision && (await getBlob(db, revision.picture_digest));
  if (!bytes) throw NOT_FOUND('This build');
  return bytes;
}
