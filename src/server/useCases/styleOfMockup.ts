import { USUAL_OPTIONS } from '../../core/usualOptions';
import { pool } from '../db/pool';
import { getMockup } from '../db/tables/mockups';
import { newestRevision, revisionTree } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import { styleInWorker } from '../workers/workers';
import { currentTags } from './currentTags';

/** The style sheet of a mockup with its tags and options as they are now, a `StyleBook` as JSON. */
export async function styleOfMockup(id: string): Promise<string> {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, id), await newestRevision(db, id)];
  const tree = revision && (await revisionTree(db, revision.id));
  if (!mockup || !tree) throw NOT_FOUND('This mockup');
  return styleInWorker({
    tree,
    tags: [...(await currentTags(db, id))],
    options: mockup.build_options ?? USUAL_OPTIONS,
  });
}
