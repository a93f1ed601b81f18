import path from 'node:path';
import type { Mockup } from '../core/mockup/mockup';
import type { Reading } from '../core/read/reading';
import { mergeTags, type Tags } from '../core/sort/tag';
import { applyStructuralTags } from '../core/sort/structuralTags';
import { readStyleFile, StyleFileError } from '../core/style/styleFile';
import { findingList, type Finding } from '../core/findings/finding';
import type { LayerId } from '../core/mockup/layer';
import { layersOf, walk } from '../core/mockup/walk';
import { withRegions } from '../core/sort/regions';
import { pathFinder, tagsByPath } from '../core/sort/tagPaths';
import { tagsFileSchema } from '../core/sort/tagSchema';
import { writtenThemes } from '../core/style/themes/writtenThemes';
import { themeNames } from '../core/style/themes/themeNames';
import { createFontBook } from '../engine/fonts/fontBook';
import { produce, type Product } from '../engine/produce';
import { readMockup } from '../engine/readMockup';
import { InputError } from './errors';
import type { CommandInput, JsonFile } from './input';

export interface ConvertedFile {
  /** The original file. */
  readonly bytes: Uint8Array;
  readonly reading: Reading;
  readonly tags: Tags;
  readonly product: Product;
  readonly readMs: number;
}

/**
 * Reads one mockup file and produces its page.
 * @throws InputError for tags with a mistake or an unknown theme, ReadError for a mockup that cannot be read
 */
export async function convertFile({
  file,
  bytes,
  options,
  tags: given,
  style,
  only,
}: CommandInput): Promise<ConvertedFile> {
  const start = performance.now();
  const reading = await readMockup(bytes, path.basename(file), { book: createFontBook() });
  const readMs = performance.now() - start;
  const { mockup, assets, findings, book } = reading;
  const checked = given ? checkTags(given, mockup) : { tags: new Map(), unknown: [] };
  const said = style ? checkStyle(style, mockup, checked.tags) : { tags: new Map(), unknown: [] };
  const tags = mergeTags(checked.tags, said.tags);
  checkThemes(writtenThemes(options), themeNames(mockup, tags));
  const product = await produce({
    mockup,
    assets,
    tags,
    options,
    book,
    ...(only && { only: layersCalled(only, applyStructuralTags(mockup, tags)) }),
    readFindings: [...findings, ...checked.unknown, ...said.unknown],
  });
  return { bytes, reading, tags, product, readMs };
}

/** @throws InputError for a theme that the mockup has no samples of */
function checkThemes(asked: readonly string[], known: readonly string[]): void {
  const unknown = asked.find((theme) => !known.includes(theme));
  if (unknown === undefined) return;
  const words = known.length === 0 ? 'it has none' : `it has ${known.join(', ')}`;
  throw new InputError(`The mockup has no theme ${unknown}; ${words}.`);
}

/** What a style file says, and a finding for all that was not taken. */
function checkStyle({ file, json }: JsonFile, mockup: Mockup, tags: Tags): ReturnType<typeof checkTags> {
  const { findings, report } = findingList();
  try {
    const read = readStyleFile(json, applyStructuralTags(mockup, tags));
    for (const what of read.refused) report('style-refused', null, { what });
    return { tags: read.tags, unknown: findings };
  } catch (error) {
    if (!(error instanceof StyleFileError)) throw error;
    throw new InputError(`${file}: ${error.message}`);
  }
}

/** The tags of a file, and a finding for each path that leads to no layer. */
function checkTags(
  { file, json }: JsonFile,
  mockup: Mockup,
): { readonly tags: Tags; readonly unknown: readonly Finding[] } {
  const { value, error } = tagsFileSchema.validate(json);
  if (error) throw new InputError(`The tags file ${file} has a mistake: ${error.message}.`);
  const { findings, report } = findingList();
  const tags = tagsByPath(mockup, value);
  const known = new Set(layersOf(withRegions(mockup, tags)).map(({ id }) => id));
  const find = pathFinder(mockup);
  for (const path of Object.keys(value)) if (!known.has(find(path))) report('tags-unknown', null, { path });
  return { tags, unknown: findings };
}

/**
 * The layers of some names or paths, with all that is inside of them.
 * @throws InputError for a name that no layer has
 */
function layersCalled(asked: readonly string[], mockup: Mockup): ReadonlySet<LayerId> {
  const layers = layersOf(mockup);
  const found = asked.flatMap((name) => {
    const called = layers.filter(({ path: own, sourceName }) => own === name || sourceName === name);
    if (called.length === 0) throw new InputError(`No layer is called ${name}; give its name or its path.`);
    return called;
  });
  return new Set(found.flatMap((layer) => walk(layer)).map(({ id }) => id));
}
