import { USUAL_OPTIONS } from '../../core/usualOptions';
import { pool } from '../db/pool';
import { getMockup } from '../db/tables/mockups';
import { newestRevision, revisionAssets, revisionTree } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import { currentTags } from './currentTags';

/**
 * A mockup as it is now: its newest revision, its tags and how it is to be built.
 * @throws Refusal when it is gone
 */
export async function mockupState(id: string) {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, id), await newestRevision(db, id)];
  if (!mockup || !revision) throw NOT_FOUND('This mockup');
  return {
    revision,
    project: mockup.project,
    tags: [...(await currentTags(db, id))],
    options: mockup.build_options ?? USUAL_OPTIONS,
  };
}

/**
 * The tree of a revision, a `Mockup` as JSON.
 * @throws Refusal when it is gone
 */
export async function treeOfRevision(revision: string): Promise<string> {
  const tree = await revisionTree(pool(), revision);
  if (tree === null) throw NOT_FOUND('This mockup');
  return tree;
}

/** The tree of a revision with its bitmaps and fonts. */
export async function sourceOfRevision(revision: string) {
  return { tree: await treeOfRevision(revision), assets: await revisionAssets(pool(), revision) };
}
