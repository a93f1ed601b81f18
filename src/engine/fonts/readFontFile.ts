import { create } from 'fontkit';
import type { GivenFont } from '../../core/type/fontBook';
import { digestOf } from '../digest';

/** Fields of fontkit's tables that its types omit. */
interface Tables {
  readonly 'OS/2'?: { readonly usWeightClass?: number; readonly fsSelection?: { readonly italic?: boolean } };
  readonly name?: { readonly records?: { readonly preferredFamily?: Readonly<Record<string, string>> } };
}

const SIGNATURES = ['\0\x01\0\0', 'OTTO', 'true', 'wOF2', 'wOFF'];

/**
 * Reads an uploaded font file: TTF, OTF, WOFF or WOFF2, one face each.
 * @throws Error with a plain sentence when it is none
 */
export function readFontFile(bytes: Uint8Array): GivenFont {
  const signature = String.fromCharCode(...bytes.subarray(0, 4));
  if (!SIGNATURES.includes(signature)) throw new Error(NO_FONT);
  try {
    const font = create(Buffer.from(bytes));
    if ('fonts' in font) throw new Error(NO_FONT);
    const tables = font as unknown as Tables;
    const named = tables.name?.records?.preferredFamily?.en ?? font.familyName;
    const weight = tables['OS/2']?.usWeightClass ?? 400;
    // Static faces cut from a variable font are all named after its thinnest weight.
    const family = weight === 100 ? named : named.replace(/ Thin$/, '');
    // A layout of one letter proves that the outlines are readable.
    if (!family || font.layout('a').advanceWidth < 0) throw new Error(NO_FONT);
    return {
      family,
      weight,
      italic: tables['OS/2']?.fsSelection?.italic ?? font.italicAngle !== 0,
      source: 'added',
      asset: `font-${digestOf(bytes).slice(0, 16)}`,
      bytes,
    };
  } catch {
    throw new Error(NO_FONT);
  }
}

const NO_FONT = 'This is no font file that can be read; choose a TTF, OTF or WOFF2 file with a single face.';
