import type { Assets } from '../../core/mockup/mockup';
import type { PicturePlan, SharedFile } from '../../core/pictures/picture';

/** The bytes of a file that belongs to several pictures. */
export async function renderShared(
  file: SharedFile,
  { pictures }: PicturePlan,
  assets: Assets,
): Promise<Uint8Array> {
  if (file.kind === 'bitmap') return assets.get(file.bitmap) ?? new Uint8Array();
  // Loaded for those who ask for it: it takes a while.
  const { writeSymbols } = await import('./writeSymbols');
  const own = pictures.filter(({ name }) => file.pictures.includes(name));
  return new TextEncoder().encode(writeSymbols(own));
}

/** Why there is such a file, in a few words. */
export function sharedReason({ kind, pictures }: SharedFile): string {
  const count = pictures.length === 1 ? '1 picture' : `${pictures.length} pictures`;
  return kind === 'symbols' ? `${count} as symbols` : `the bitmap of ${count}, beside its SVG`;
}
