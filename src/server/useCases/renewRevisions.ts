import { createFontBook } from '../../engine/fonts/fontBook';
import { isReadError } from '../../core/read/readError';
import { readWithPicture } from '../../engine/readWithPicture';
import { inTransaction, pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { loadFonts } from '../db/tables/fonts';
import { outdatedRevisions } from '../db/tables/revisions';
import { packReading } from '../workers/packReading';
import { addRevision, storeReading } from './storeReading';

/**
 * Reads the newest revision of every mockup again if its tree is outdated. The new reading is a revision of its own;
 * tags stay valid, since readers give the same ids to the same file. Gives the number of mockups read anew.
 */
export async function renewRevisions(): Promise<number> {
  const book = createFontBook();
  let renewed = 0;
  const outdated = await outdatedRevisions(pool());
  for (const { mockup_id: mockupId, project_id, file_name: fileName, source_digest: source } of outdated) {
    const bytes = await getBlob(pool(), source);
    if (!bytes) continue;
    try {
      const fonts = await loadFonts(pool(), project_id);
      const reading = packReading(await readWithPicture(bytes, fileName, { book, fonts }));
      await inTransaction(async (client) =>
        addRevision(client, mockupId, await storeReading(client, fileName, bytes, reading), 'update'),
      );
      renewed += 1;
    } catch (error) {
      if (!isReadError(error)) throw error;
      // The mockup keeps its last tree; one refused file is no reason not to start.
      console.warn(`${fileName} is kept as it was read before. ${error.message}`);
    }
  }
  return renewed;
}
