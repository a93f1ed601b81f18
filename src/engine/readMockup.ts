import { findingList } from '../core/findings/finding';
import { read } from '../core/read/read';
import { ReadError } from '../core/read/readError';
import type { OnProgress, Reading } from '../core/read/reading';
import type { FontBook, GivenFont } from '../core/type/fontBook';
import { applyResolution } from './raster/applyResolution';
import { bakeCompositions } from './raster/bakeCompositions';
import { checkBitmaps, faultOf } from './raster/checkBitmaps';
import { compareMerged } from './raster/compareMerged';
import { sanitizeNestedSvgs } from './nestedSvgs';
import { trimBitmaps } from './raster/trimBitmaps';

export interface ReadOptions {
  readonly book: FontBook;
  /** Added fonts; they precede those of the machine. */
  readonly fonts?: readonly GivenFont[];
  readonly onProgress?: OnProgress;
}

/**
 * Reads a mockup and finishes the parts that need image processing: nested SVGs are sanitized, layers of
 * raster programs trimmed, compositions without a CSS equivalent baked, flat pictures scaled to 1x.
 * @throws ReadError with one sentence when the file cannot be read
 */
export async function readMockup(
  bytes: Uint8Array,
  fileName: string,
  { book: own, fonts = [], onProgress = () => undefined }: ReadOptions,
): Promise<Reading> {
  const { book } = own.withFonts(fonts);
  const reading = withAddedFonts(read(bytes, fileName, book, onProgress), fonts);
  try {
    return await finish(reading, onProgress);
  } catch (error) {
    if (error instanceof ReadError) throw error;
    throw new ReadError('broken-bitmap', { what: error instanceof Error ? error.message : String(error) });
  }
}

/** A page needs the files of the added fonts in its texts. */
function withAddedFonts(reading: Reading, fonts: readonly GivenFont[]): Reading {
  const files = new Set(Object.values(reading.mockup.faces).map((face) => face.file));
  const used = fonts.filter((font) => files.has(font.asset));
  const added = used.map((font): [string, Uint8Array] => [font.asset, font.bytes]);
  return { ...reading, assets: new Map([...reading.assets, ...added]) };
}

/** A flat picture is nothing without its pixels. */
async function refuseBroken({ mockup, assets }: Reading): Promise<void> {
  for (const bitmap of Object.values(mockup.bitmaps)) {
    const why = await faultOf(bitmap, assets.get(bitmap.id) ?? new Uint8Array());
    if (why) throw new ReadError('broken-bitmap', { what: why });
  }
}

async function finish(reading: Reading, onProgress: OnProgress): Promise<Reading> {
  const { mockup, assets, bakes } = reading;
  const { findings, report } = findingList();
  if (mockup.format === 'flat') {
    await refuseBroken(reading);
    const sized = await applyResolution(mockup, assets, report);
    return { ...reading, mockup: sized, findings: [...reading.findings, ...findings] };
  }
  if (mockup.format === 'svg') {
    const sound = await checkBitmaps(mockup, assets, report);
    const settled = sanitizeNestedSvgs(mockup, sound, reading.book, report);
    return { ...reading, assets: settled, findings: [...reading.findings, ...findings] };
  }
  const sound = await checkBitmaps(mockup, assets, report);
  const baked = await bakeCompositions(mockup, sound, bakes, report);
  const trimmed = await trimBitmaps(baked.mockup, baked.assets, report, onProgress);
  await compareMerged(trimmed, baked.assets, reading.merged, report);
  const all = [...reading.findings, ...findings];
  return { ...reading, mockup: trimmed, assets: baked.assets, findings: all, bakes: [], merged: null };
}
