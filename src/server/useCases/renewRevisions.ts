import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture } from '../../engine/readWithPicture';
import { inTransaction, pool } from '../db/pool';
import { getBlob } from '../db/tables/blobs';
import { addedFonts } from '../db/tables/fonts';
import { outdatedRevisions } from '../db/tables/revisions';
import { addRevision, storeReading } from './storeReading';

/**
 * Reads the newest revision of every mockup again if its tree is outdated. The new reading is a revision of its own;
 * tags stay valid, since readers give the same ids to the same file.
 */
export async function renewRevisions(): Promise<number> {
  const fonts = await addedFonts(pool());
  const book = createFontBook();
  const outdated = await outdatedRevisions(pool());
  for (const { mockup_id: mockupId, file_name: fileName, source_digest: source } of outdated) {
    const bytes = await getBlob(pool(), source);
    if (!bytes) continue;
    const reading = await readWithPicture(bytes, fileName, { book, fonts });
    await inTransaction(async (client) =>
      addRevision(client, mockupId, await storeReading(client, fileName, bytes, reading), 'update'),
    );
  }
  return outdated.length;
}
