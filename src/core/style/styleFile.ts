import Joi from 'joi';
import { SHEET } from '../mockup/identity';
import type { LayerId } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import { treeOf } from '../mockup/tree';
import { checkFacet } from '../sort/facets/facets';
import type { SaidValue } from '../sort/facets/values';
import { hasDesignTokens, readDesignTokens } from './tokens/formats/readDesignTokens';
import type { Tag, Tags } from '../sort/tag';
import { pathFinder } from '../sort/tagPaths';

const VERSION = 1;

/** What a person said of classes and values, for the command line and other mockups. */
export interface StyleFile {
  readonly version: typeof VERSION;
  readonly values: readonly SaidValue[];
  /** Names of classes, each by the path of a layer whose look it is. */
  readonly classes: readonly { readonly layer: string; readonly name: string }[];
}

/** The file of what the tags say of classes and values. */
export function styleFile(mockup: Mockup, tags: Tags): StyleFile {
  const tree = treeOf(mockup);
  return {
    version: VERSION,
    values: tags.get(SHEET.id)?.values ?? [],
    classes: [...tags].flatMap(([id, { lookName }]) => {
      const layer = tree.layer(id);
      return layer && lookName !== undefined ? [{ layer: layer.path, name: lookName }] : [];
    }),
  };
}

/** The tags that a style file says, and what of it could not be taken, in words. */
export interface ReadStyle {
  readonly tags: Tags;
  readonly refused: readonly string[];
}

const schema = Joi.object<{ version: number; values: unknown[]; classes: unknown[] }>({
  version: Joi.number().required(),
  values: Joi.array().max(500).default([]),
  classes: Joi.array().max(20_000).default([]),
});

const classSchema = Joi.object<StyleFile['classes'][number]>({
  layer: Joi.string().allow('').max(2000).required(),
  name: Joi.string().required(),
});

/**
 * Reads a style file, or the names of values from a file of Design Tokens. What is known is taken, and the rest is
 * listed.
 * @throws Error with a sentence for what is no style file, or one of another version
 */
export function readStyleFile(json: unknown, mockup: Mockup): ReadStyle {
  if (hasDesignTokens(json)) return readTokenFile(json);
  const { value: file, error } = schema.validate(json);
  if (error) throw new Error('This is no style file as the Style step exports it.');
  if (file.version !== VERSION)
    throw new Error(
      `This style file is of version ${file.version}; Orden reads version ${VERSION}. Export it again.`,
    );
  const refused: string[] = [];
  const values: SaidValue[] = [];
  for (const each of file.values) {
    const check = checkFacet('values', [...values, each]);
    if ('problem' in check) refused.push(`${excerpt(each)}: ${check.problem}`);
    else values.splice(0, values.length, ...(check.value as readonly SaidValue[]));
  }
  const tree = treeOf(mockup);
  const find = pathFinder(mockup);
  const tags = new Map<LayerId, Tag>(values.length > 0 ? [[SHEET.id, { values }]] : []);
  for (const each of file.classes) {
    const { value: said, error: mistake } = classSchema.validate(each);
    const check = mistake ? { problem: 'It names no layer and class.' } : checkFacet('lookName', said.name);
    if ('problem' in check) {
      refused.push(`${excerpt(each)}: ${check.problem}`);
      continue;
    }
    const id = find(said.layer);
    if (tree.layer(id)) tags.set(id, { ...tags.get(id), lookName: said.name });
    else refused.push(`${said.layer}: the mockup has no such layer.`);
  }
  return { tags, refused };
}

/** The beginning of what a file says, to find it by. */
function excerpt(said: unknown): string {
  return JSON.stringify(said).slice(0, 80);
}

/** The names that a file of Design Tokens gives to values. */
function readTokenFile(json: unknown): ReadStyle {
  const { values, refused } = readDesignTokens(json);
  const check = checkFacet('values', values);
  if ('problem' in check) return { tags: new Map(), refused: [...refused, check.problem] };
  return { tags: new Map(values.length > 0 ? [[SHEET.id, { values }]] : []), refused };
}
