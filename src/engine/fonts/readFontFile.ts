import { create } from 'fontkit';
import type { GivenFont } from '../../core/type/fontBook';
import { digestOf } from '../digest';

/** The parts of fontkit's tables that its types leave open. */
interface Tables {
  readonly 'OS/2'?: { readonly usWeightClass?: number; readonly fsSelection?: { readonly italic?: boolean } };
  readonly name?: { readonly records?: { readonly preferredFamily?: Readonly<Record<string, string>> } };
}

const SIGNATURES = ['\0\x01\0\0', 'OTTO', 'true', 'wOF2', 'wOFF'];

/**
 * A font file that a person gives: TTF, OTF, WOFF or WOFF2, one face in each.
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
    // Weights cut from one variable font are all named after its thinnest.
    const family = weight === 100 ? named : named.replace(/ Thin$/, '');
    // Asking for a letter proves that the outlines can be read too.
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
