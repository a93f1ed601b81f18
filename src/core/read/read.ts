import type { FontBook } from '../type/fontBook';
import { readFlat } from './flat/readFlat';
import { createMemo, usingMemo } from '../mockup/memoize';
import { formatOf, type Format } from './formats';
import { readOpenRaster } from './openraster/readOpenRaster';
import type { OnProgress, Reading } from './reading';
import { readSvg } from './svg/readSvg';
import { gunzipBounded } from './unpack';

type Reader = (bytes: Uint8Array, name: string, book: FontBook, onProgress?: OnProgress) => Reading;

const READERS: Readonly<Record<Format, Reader>> = {
  openraster: readOpenRaster,
  svgz: (bytes, name, book, onProgress) => readSvg(gunzipBounded(bytes), name, book, onProgress),
  png: readFlat,
  jpeg: readFlat,
  webp: readFlat,
  svg: readSvg,
};

/**
 * Reads a mockup from a file's bytes. The bytes decide on the format, not the name.
 * @param fileName with its extension; the name without it becomes the screen's
 * @throws ReadError with one sentence when the file cannot be read
 */
export function read(bytes: Uint8Array, fileName: string, book: FontBook, onProgress?: OnProgress): Reading {
  return usingMemo(createMemo(), () =>
    READERS[formatOf(bytes)](bytes, screenName(fileName), book, onProgress),
  );
}

function screenName(fileName: string): string {
  const base = fileName.split(/[\\/]/).pop() ?? '';
  return base.replace(/\.[^.]*$/, '').trim() || 'screen';
}
