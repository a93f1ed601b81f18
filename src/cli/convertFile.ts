import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { TARGET_NAMES, type TargetName } from '../core/emit/target';
import type { Reading } from '../core/read/reading';
import {
  ARRANGEMENTS,
  FRAME_WORDS,
  plainFrame,
  UNITS,
  type Arrangement,
  type PageFrame,
  type Unit,
} from '../core/page/node';
import type { Tag } from '../core/sort/tag';
import { tagsByPath } from '../core/sort/tagPaths';
import { tagsFileSchema } from '../core/sort/tagSchema';
import { createFontBook } from '../engine/fonts/fontBook';
import { produce, type Product } from '../engine/produce';
import { readMockup } from '../engine/readMockup';
import { InputError, UsageError } from './errors';

export interface ConvertFlags {
  readonly out?: string;
  readonly arrange: string;
  readonly target: string;
  readonly tags?: string;
  readonly unit?: string;
  /** Words of the page's frame, such as `centred,content`. */
  readonly frame?: string;
  readonly join: boolean;
  readonly json: boolean;
}

export interface ConvertedFile {
  /** The original file. */
  readonly bytes: Uint8Array;
  readonly reading: Reading;
  readonly product: Product;
  readonly readMs: number;
}

/**
 * Reads one mockup file and produces its page according to the flags.
 * @throws UsageError for wrong flags, InputError for files that cannot be used, ReadError for a mockup that
 * cannot be read
 */
export async function convertFile(files: readonly string[], flags: ConvertFlags): Promise<ConvertedFile> {
  const [file] = files;
  if (file === undefined || files.length > 1) throw new UsageError('Give one mockup file.');
  const arrangement = oneOf<Arrangement>(flags.arrange, ARRANGEMENTS, '--arrange');
  const target = oneOf<TargetName>(flags.target, TARGET_NAMES, '--target');
  const start = performance.now();
  const bytes = await readInput(file);
  const named = flags.tags === undefined ? {} : await readTags(flags.tags);
  const reading = await readMockup(bytes, path.basename(file), { book: createFontBook() });
  const readMs = performance.now() - start;
  const { mockup, assets, findings, book } = reading;
  const tags = tagsByPath(mockup, named);
  const options = {
    arrangement,
    target,
    ...(flags.unit !== undefined && { unit: oneOf<Unit>(flags.unit, UNITS, '--unit') }),
    ...(flags.frame !== undefined && { frame: readFrame(flags.frame, arrangement) }),
    ...(flags.join && { join: true }),
  };
  const product = await produce({ mockup, assets, tags, options, book, readFindings: findings });
  return { bytes, reading, product, readMs };
}

function oneOf<T extends string>(value: string, allowed: readonly T[], flag: string): T {
  const found = allowed.find((candidate) => candidate === value);
  if (found === undefined) throw new UsageError(`${flag} takes ${allowed.join(' or ')}, not "${value}".`);
  return found;
}

function readFrame(words: string, arrangement: Arrangement): PageFrame {
  const allowed = Object.values(FRAME_WORDS).flat();
  const given = words.split(',').map((word) => oneOf(word.trim(), allowed, '--frame'));
  const pick = <K extends keyof PageFrame>(key: K): PageFrame[K] | undefined =>
    FRAME_WORDS[key].find((word) => given.includes(word)) as PageFrame[K] | undefined;
  const plain = plainFrame(arrangement);
  return {
    stands: pick('stands') ?? plain.stands,
    edge: pick('edge') ?? plain.edge,
    reaches: pick('reaches') ?? plain.reaches,
  };
}

async function readInput(file: string): Promise<Uint8Array> {
  try {
    return await readFile(file);
  } catch (error) {
    const missing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
    throw new InputError(missing ? `There is no file ${file}.` : `The file ${file} could not be opened.`);
  }
}

async function readTags(file: string): Promise<Readonly<Record<string, Tag>>> {
  const text = new TextDecoder().decode(await readInput(file));
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    throw new InputError(`The tags file ${file} is no JSON.`);
  }
  const { value, error } = tagsFileSchema.validate(parsed);
  if (error) throw new InputError(`The tags file ${file} has a mistake: ${error.message}.`);
  return value;
}
