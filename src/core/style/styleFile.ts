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
  readonly classes: readonly NamedClass[];
  /** Layers that take the look of others, by their paths. */
  readonly alike: readonly { readonly layer: string; readonly like: string }[];
  /** The names that no class may have. */
  readonly forbidden: readonly string[];
}

interface NamedClass {
  readonly layer: string;
  readonly name: string;
  /** True where the layer's look has a class apart from equal looks. */
  readonly apart?: boolean;
}

/** The file of what the tags say of classes and values. */
export function styleFile(mockup: Mockup, tags: Tags): StyleFile {
  const tree = treeOf(mockup);
  return {
    version: VERSION,
    values: tags.get(SHEET.id)?.values ?? [],
    classes: [...tags].flatMap(([id, { lookName, ownClass }]) => {
      const layer = tree.layer(id);
      if (!layer) return [];
      const named = (name: string, apart?: true) => ({ layer: layer.path, name, ...(apart && { apart }) });
      return [
        ...(lookName === undefined ? [] : [named(lookName)]),
        ...(ownClass === undefined ? [] : [named(ownClass, true)]),
      ];
    }),
    alike: [...tags].flatMap(([id, { looksLike }]) => {
      const [layer, like] = [tree.layer(id), tree.layer(looksLike ?? '')];
      return layer && like ? [{ layer: layer.path, like: like.path }] : [];
    }),
    forbidden: tags.get(SHEET.id)?.forbidden ?? [],
  };
}

/** The tags that a style file says, and what of it could not be taken, in words. */
export interface ReadStyle {
  readonly tags: Tags;
  readonly refused: readonly string[];
}

/** Why a file is not read as a style file, in a sentence. */
export class StyleFileError extends Error {}

interface GivenStyle {
  readonly version: number;
  readonly values: readonly unknown[];
  readonly classes: readonly unknown[];
  readonly alike: readonly unknown[];
  readonly forbidden: unknown;
}

const schema = Joi.object<GivenStyle>({
  version: Joi.number().required(),
  values: Joi.array().max(500).default([]),
  classes: Joi.array().max(20_000).default([]),
  alike: Joi.array().max(20_000).default([]),
  forbidden: Joi.any().default([]),
});

const path = Joi.string().allow('').max(2000).required();

const alikeSchema = Joi.object<StyleFile['alike'][number]>({ layer: path, like: path });

const classSchema = Joi.object<NamedClass>({
  layer: path,
  name: Joi.string().required(),
  apart: Joi.boolean(),
});

/**
 * Reads a style file, or the names of values from a file of Design Tokens. What is known is taken, and the rest is
 * listed.
 * @throws StyleFileError for what is no style file, or one of another version
 */
export function readStyleFile(json: unknown, mockup: Mockup): ReadStyle {
  if (hasDesignTokens(json)) return readTokenFile(json);
  const { value: file, error } = schema.validate(json);
  if (error) throw new StyleFileError('This is no style file as the Style step exports it.');
  if (file.version !== VERSION)
    throw new StyleFileError(
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
  const forbidden = checkFacet('forbidden', file.forbidden);
  if ('problem' in forbidden) refused.push(`${excerpt(file.forbidden)}: ${forbidden.problem}`);
  const names = 'value' in forbidden ? (forbidden.value as readonly string[]) : [];
  const ofSheet = { ...(values.length > 0 && { values }), ...(names.length > 0 && { forbidden: names }) };
  const tags = new Map<LayerId, Tag>(Object.keys(ofSheet).length > 0 ? [[SHEET.id, ofSheet]] : []);
  for (const each of file.classes) {
    const { value: said, error: mistake } = classSchema.validate(each);
    const check = mistake ? { problem: 'It names no layer and class.' } : checkFacet('lookName', said.name);
    if ('problem' in check) {
      refused.push(`${excerpt(each)}: ${check.problem}`);
      continue;
    }
    const id = find(said.layer);
    if (tree.layer(id)) tags.set(id, { ...tags.get(id), [said.apart ? 'ownClass' : 'lookName']: said.name });
    else refused.push(`${said.layer}: the mockup has no such layer.`);
  }
  for (const each of file.alike) {
    const { value: said, error: mistake } = alikeSchema.validate(each);
    const [layer, like] = mistake ? ['', ''] : [find(said.layer), find(said.like)];
    if (mistake) refused.push(`${excerpt(each)}: It names no two layers.`);
    else if (tree.layer(layer) && tree.layer(like)) tags.set(layer, { ...tags.get(layer), looksLike: like });
    else refused.push(`${excerpt(each)}: the mockup has no such layers.`);
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
