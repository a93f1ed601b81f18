import type { ConvertInput } from '../../core/convert';
import type { Queryable } from '../db/pool';
import { getBuild, type BuildRow } from '../db/tables/builds';
import { getRevision, revisionAssets, type RevisionRow } from '../db/tables/revisions';

/** A build's record and its input: everything else can be computed from it. */
export interface BuildInput {
  readonly build: BuildRow;
  readonly revision: RevisionRow;
  readonly input: Omit<ConvertInput, 'outliner'>;
}

/** Null when there is no such build. */
export async function buildInput(db: Queryable, id: string): Promise<BuildInput | null> {
  const build = await getBuild(db, id);
  const revision = build && (await getRevision(db, build.revision_id));
  if (!build || !revision) return null;
  const assets = await revisionAssets(db, revision.id);
  const tags = new Map(Object.entries(build.tags));
  return { build, revision, input: { mockup: revision.tree, assets, tags, options: build.options } };
}
