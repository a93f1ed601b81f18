import type { Assets, Mockup } from '../../core/mockup/mockup';
import { isVectorFormat, type Picture, type PictureFile } from '../../core/pictures/picture';
import { drawnDocument, drawnPixels } from './renderPicture';

/**
 * The bytes that a file would have if nothing had made it small: its px as a PNG with the usual compression, or its
 * document as it was drawn. Null where there is nothing to compare: for a PDF, and for a bitmap as it is.
 */
export async function plainBytes(
  picture: Picture,
  file: PictureFile,
  mockup: Mockup,
  assets: Assets,
): Promise<number | null> {
  if (file.isOriginal || file.format === 'pdf' || file.format === 'gif') return null;
  if (!isVectorFormat(file.format))
    return (await drawnPixels(picture, file, mockup, assets).png().toBuffer()).length;
  return new TextEncoder().encode(drawnDocument(picture, file, mockup, assets)).length;
}
