import { svgBytes } from '../../core/read/unpack';
import { writeTags } from '../../core/sort/names/writeTags';
import { createFontBook } from '../../engine/fonts/fontBook';
import { pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { newestRevision } from '../db/tables/revisions';
import { NOT_FOUND, Refusal } from '../http';
import { currentTags } from './currentTags';

/** A copy of the mockup's file with its tags, for the drawing program. */
export async function sourceWithTags(mockupId: string): Promise<{ fileName: string; svg: string }> {
  const revision = await newestRevision(pool(), mockupId);
  const bytes = revision && (await getBlob(pool(), revision.source_digest));
  if (!revision || !bytes) throw NOT_FOUND('This mockup');
  if (revision.tree.format !== 'svg')
    throw new Refusal(
      409,
      'Tags are written into SVG files only; in a raster mockup, put them into the layer names.',
    );
  const tags = await currentTags(pool(), mockupId);
  return {
    fileName: revision.file_name.replace(/\.svgz?$/i, '.tagged.svg'),
    svg: writeTags(svgBytes(bytes), revision.tree.name, createFontBook(), tags),
  };
}
