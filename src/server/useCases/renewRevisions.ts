import { countLayers } from '../../core/sort/structuralTags';
import { createFontBook } from '../../engine/fonts/fontBook';
import { readWithPicture } from '../../engine/readWithPicture';
import { inTransaction, pool } from '../db/pool';
import { getBlob, putBlob } from '../db/tables/blobs';
import { addedFonts } from '../db/tables/fonts';
import { insertAsset, outdatedRevisions, renewRevision } from '../db/tables/revisions';

/** Reads every stored source again whose tree is outdated. Tags stay valid, since layer keys do. */
export async function renewRevisions(): Promise<number> {
  const fonts = await addedFonts(pool());
  const book = createFontBook();
  const outdated = await outdatedRevisions(pool());
  for (const { id, file_name: fileName, source_digest: source } of outdated) {
    const bytes = await getBlob(pool(), source);
    if (!bytes) continue;
    const { mockup, assets, findings, picture } = await readWithPicture(bytes, fileName, { book, fonts });
    await inTransaction(async (client) => {
      const pictureDigest = await putBlob(client, new TextEncoder().encode(picture));
      const layerCount = countLayers(mockup);
      await renewRevision(client, id, { pictureDigest, tree: mockup, findings, layerCount });
      for (const [name, asset] of assets) await insertAsset(client, id, name, await putBlob(client, asset));
    });
  }
  return outdated.length;
}
