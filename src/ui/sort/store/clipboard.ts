import { addressOf } from './opened';
import type { ClipboardSlice, MakeSlice, SortState } from './state';

/** Px of a copied PNG for one px of the screen. */
const SCALE = 2;
/** An address is only so long. */
const MOST_LAYERS = 200;

export const clipboardSlice: MakeSlice<ClipboardSlice> = (set, get, opened) => ({
  async copyPicture(format) {
    const { selection } = get();
    if (selection.size === 0) return;
    const drawing = drawingOf(get(), `${addressOf(opened)}/drawing`);
    try {
      if (format === 'svg') await navigator.clipboard.writeText(await svgText(drawing));
      else await navigator.clipboard.write([new ClipboardItem({ 'image/png': pngOf(drawing) })]);
      set({ notice: { text: `Copied as ${format.toUpperCase()}.`, canUndo: false } });
    } catch {
      const text = 'The browser does not let Orden use the clipboard; download the picture from a build.';
      set({ notice: { text, canUndo: false } });
    }
  },
});

/** The address of a drawing of the selection alone, of its own size. */
function drawingOf({ screen, selection, lastEdit }: SortState, address: string): string {
  const asked = new URLSearchParams({ screen: screen.id, of: 'layers', fit: 'true', edited: lastEdit });
  for (const layer of [...selection].slice(0, MOST_LAYERS)) asked.append('layer', layer);
  return `${address}?${asked}`;
}

async function svgText(address: string): Promise<string> {
  const response = await fetch(address);
  if (!response.ok) throw new Error('There is no drawing.');
  return response.text();
}

async function pngOf(address: string): Promise<Blob> {
  const image = new Image();
  image.src = address;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = Math.max(1, image.naturalWidth * SCALE);
  canvas.height = Math.max(1, image.naturalHeight * SCALE);
  canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('There is no picture.'))), 'image/png'),
  );
}
