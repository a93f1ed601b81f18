import { pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { getMockup } from '../db/tables/mockups';
import { newestRevision } from '../db/tables/revisions';
import { NOT_FOUND, Refusal } from '../http';
import { tagInWorker } from '../workers/workers';
import { currentTags } from './currentTags';

/** A copy of the mockup's file with its tags, for the drawing program. */
export async function sourceWithTags(mockupId: string): Promise<{ fileName: string; svg: string }> {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, mockupId), await newestRevision(db, mockupId)];
  const bytes = revision && (await getBlob(db, revision.source_digest));
  if (!mockup || !revision || !bytes) throw NOT_FOUND('This mockup');
  if (mockup.format !== 'svg')
    throw new Refusal(
      409,
      'Tags are written into SVG files only; in a raster mockup, put them into the layer names.',
    );
  const tags = [...(await currentTags(db, mockupId))];
  return {
    fileName: revision.file_name.replace(/\.svgz?$/i, '.tagged.svg'),
    svg: await tagInWorker({ bytes, name: mockup.name, tags }),
  };
}
