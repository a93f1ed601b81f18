import type { FindingCode } from '../../src/core/findings/wording';
import { ReadError, type RefusalCode } from '../../src/core/read/readError';
import { createFontBook } from '../../src/engine/fonts/fontBook';
import { produce } from '../../src/engine/produce';
import { readMockup } from '../../src/engine/readMockup';

const fonts = createFontBook();

export interface SafeReading {
  /** The code of a refusal; null for a successful reading. */
  readonly refused: RefusalCode | null;
  /** What a person would read of the refusal. */
  readonly sentence: string;
  /** All that the page would be made of, as one text. */
  readonly written: string;
  readonly codes: readonly FindingCode[];
}

/** Reads a hostile file and writes its page. Throws only when the reader itself fails. */
export async function readSafely(bytes: Uint8Array, name: string): Promise<SafeReading> {
  try {
    const { mockup, assets, findings, book } = await readMockup(bytes, name, { book: fonts });
    const options = { arrangement: 'nested', target: 'html' } as const;
    const product = await produce({ mockup, assets, tags: new Map(), options, book, readFindings: findings });
    const texts = product.files.filter(({ path }) => /\.(html|css|svg)$/.test(path));
    const written = texts.map((file) => new TextDecoder().decode(file.bytes)).join('\n');
    return { refused: null, sentence: '', written, codes: product.findings.map(({ code }) => code) };
  } catch (error) {
    if (!(error instanceof ReadError)) throw new Error(`${name} broke the reader`, { cause: error });
    return { refused: error.code, sentence: error.message, written: '', codes: [] };
  }
}

/** What no page may hold: scripts, handlers, outside references. */
export const HARM =
  /<script|<foreignObject|<iframe|\son[a-z]+="|javascript:|a\.example|etc\/passwd|127\.0\.0\.1|<!ENTITY/i;
