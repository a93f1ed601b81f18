import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { Picture, PictureFile, PictureFormat } from '../../core/pictures/picture';
import { drawnDocument, drawnPixels } from './renderPicture';

const WITHOUT_PLAIN: readonly PictureFormat[] = ['pdf', 'gif', 'drawable'];

/**
 * The bytes that a file would have if nothing had made it small: its px as a PNG with the usual compression, or its
 * document as it was drawn. Null where there is nothing to compare: for a PDF, a vector drawable, and a bitmap as it is.
 */
export async function plainBytes(
  picture: Picture,
  file: PictureFile,
  mockup: Mockup,
  assets: Assets,
): Promise<number | null> {
  if (file.isOriginal || WITHOUT_PLAIN.includes(file.format)) return null;
  if (file.format !== 'svg')
    return (await drawnPixels(picture, file, mockup, assets).png().toBuffer()).length;
  return new TextEncoder().encode(drawnDocument(picture, file, mockup, assets)).length;
}
