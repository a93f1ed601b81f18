import { findingList } from '../core/findings/finding';
import { read } from '../core/read/read';
import { ReadError } from '../core/read/readError';
import type { OnProgress, Reading } from '../core/read/reading';
import type { FontBook } from '../core/type/fontBook';
import { applyResolution } from './raster/applyResolution';
import { bakeCompositions } from './raster/bakeCompositions';
import { trimBitmaps } from './raster/trimBitmaps';

/**
 * Reads a mockup, and finishes what needs its pixels: layers of raster programs trimmed to what is seen, compositions
 * that CSS has not drawn into one, flat pictures at their size at 1x.
 * @throws ReadError with one sentence when the file cannot be read
 */
export async function readMockup(
  bytes: Uint8Array,
  fileName: string,
  book: FontBook,
  onProgress: OnProgress = () => undefined,
): Promise<Reading> {
  const reading = read(bytes, fileName, book, onProgress);
  try {
    return await finish(reading, onProgress);
  } catch (error) {
    throw new ReadError('broken-bitmap', { what: error instanceof Error ? error.message : String(error) });
  }
}

async function finish(reading: Reading, onProgress: OnProgress): Promise<Reading> {
  const { mockup, assets, bakes } = reading;
  const { findings, report } = findingList();
  if (mockup.format === 'flat') {
    const sized = await applyResolution(mockup, assets, report);
    return { ...reading, mockup: sized, findings: [...reading.findings, ...findings] };
  }
  if (mockup.format !== 'openraster') return reading;
  const baked = await bakeCompositions(mockup, assets, bakes, report);
  const trimmed = await trimBitmaps(baked.mockup, baked.assets, report, onProgress);
  const all = [...reading.findings, ...findings];
  return { ...reading, mockup: trimmed, assets: baked.assets, findings: all, bakes: [] };
}
