import type { Queryable } from '../db/pool';
import type { BuildRow } from '../db/tables/builds';
import { getRevision, revisionAssets, revisionTree, type RevisionRow } from '../db/tables/revisions';
import type { BuildJob } from '../workers/buildJob';

/** A build's input: everything else can be computed from it. */
export interface BuildInput {
  readonly revision: RevisionRow;
  readonly job: BuildJob;
}

/** Null when its revision is gone. */
export async function buildInput(db: Queryable, build: BuildRow): Promise<BuildInput | null> {
  const revision = await getRevision(db, build.revision_id);
  const tree = await revisionTree(db, build.revision_id);
  if (!revision || tree === null) return null;
  const assets = await revisionAssets(db, revision.id);
  const tags = new Map(Object.entries(build.tags));
  return { revision, job: { tree, assets, tags, options: build.options, findings: revision.findings } };
}
