import { readFile } from 'node:fs/promises';
import type { TargetName } from '../core/emit/targets';
import { problemOfSettings, type TargetSettings } from '../core/emit/targetOptions';
import { formatOf } from '../core/read/formats';
import {
  ARRANGEMENTS,
  FRAME_WORDS,
  LANGUAGE_TAG,
  plainFrame,
  type Arrangement,
  type PageFrame,
} from '../core/page/frame';
import type { ConvertOptions } from '../core/convert';
import type { PictureRecipes } from '../core/pictures/recipes/recipe';
import { InputError, UsageError } from './errors';

export interface ConvertFlags {
  readonly out?: string;
  readonly arrange: string;
  readonly target: string;
  readonly tags?: string;
  /** A style file. */
  readonly style?: string;
  readonly unit?: string;
  /** A language tag such as `da`. */
  readonly lang?: string;
  /** Words of the page's frame, such as `centred,content`. */
  readonly frame?: string;
  /** Names of themes, with commas between them. */
  readonly themes?: string;
  /** The theme that light systems show by themselves. */
  readonly light?: string;
  readonly dark?: string;
  /** A file of recipes for pictures. */
  readonly recipes?: string;
  /** True to write pictures alone. */
  readonly 'pictures-only': boolean;
  /** Names or paths of layers whose pictures are made, with commas between them. */
  readonly only?: string;
  /** What whole screens are written as, with commas between them. */
  readonly formats?: string;
  /** Names of screens, with commas between them. */
  readonly screens?: string;
  /** True to list the files of pictures and write none. */
  readonly list: boolean;
  /** The format of a file of tokens. */
  readonly tokens?: string;
  readonly join: boolean;
  readonly fragments: boolean;
  /** Options of the target, each as NAME=VALUE. */
  readonly set?: readonly string[];
  /** True to overwrite files that somebody changed. */
  readonly force: boolean;
  readonly json: boolean;
}

/** A file with JSON in it. */
export interface JsonFile {
  readonly file: string;
  readonly json: unknown;
}

/** A command's input, as far as it can be checked before the conversion is loaded. */
export interface CommandInput {
  readonly file: string;
  readonly bytes: Uint8Array;
  readonly options: ConvertOptions;
  /** The file of tags, parsed but not validated; null for none. */
  readonly tags: JsonFile | null;
  /** The style file, parsed but not validated; null for none. */
  readonly style: JsonFile | null;
  /** Names or paths of the layers whose pictures are made; null for all. */
  readonly only: readonly string[] | null;
}

/**
 * Checks the flags and opens the files. It imports little, so that wrong input is answered at once.
 * @throws UsageError for wrong flags, InputError for files that cannot be used, ReadError for a file that is no mockup
 */
export async function readInput(files: readonly string[], flags: ConvertFlags): Promise<CommandInput> {
  const [file] = files;
  if (file === undefined || files.length > 1) throw new UsageError('Give one mockup file.');
  const options = await readOptions(flags);
  const bytes = await open(file);
  formatOf(bytes);
  const { tags, style } = flags;
  return {
    file,
    bytes,
    options,
    tags: tags === undefined ? null : await openJson(tags, 'tags'),
    style: style === undefined ? null : await openJson(style, 'style'),
    only: flags.only === undefined ? null : flags.only.split(',').map((name) => name.trim()),
  };
}

async function readOptions({
  arrange,
  target,
  unit,
  lang,
  themes,
  light,
  dark,
  frame,
  join,
  fragments,
  tokens,
  recipes,
  set = [],
}: ConvertFlags): Promise<ConvertOptions> {
  const arrangement = oneOf<Arrangement>(arrange, ARRANGEMENTS, '--arrange');
  const chosen = target === 'html' ? target : await readTarget(target);
  const settings = await readSettings(chosen, { unit, fragments, tokens, set });
  return {
    arrangement,
    target: chosen,
    ...(Object.keys(settings).length > 0 && { settings }),
    ...(lang !== undefined && { language: readLanguage(lang) }),
    ...(themes !== undefined && { themes: themes.split(',').map((theme) => theme.trim()) }),
    ...((light !== undefined || dark !== undefined) && {
      schemes: { ...(light !== undefined && { light }), ...(dark !== undefined && { dark }) },
    }),
    ...(recipes !== undefined && { pictures: await readRecipes(recipes) }),
    ...(frame !== undefined && { frame: readFrame(frame, arrangement) }),
    ...(join && { join: true }),
  };
}

/** The recipes of a file. */
async function readRecipes(file: string): Promise<PictureRecipes> {
  const { json } = await openJson(file, 'recipe');
  const { pictureRecipesSchema } = await import('../core/pictures/recipes/recipe');
  const { value, error } = pictureRecipesSchema.validate(json);
  if (error) throw new InputError(`The recipe file ${file} has a mistake: ${error.message}.`);
  return value;
}

/** The options of the target; three of them have flags of their own. */
async function readSettings(
  target: TargetName,
  { unit, fragments, tokens, set = [] }: Pick<ConvertFlags, 'unit' | 'fragments' | 'tokens' | 'set'>,
): Promise<TargetSettings> {
  const pairs = set.map((each): readonly [string, string] => {
    const [name = '', value] = each.split('=');
    if (value === undefined) throw new UsageError(`--set takes NAME=VALUE, not "${each}".`);
    return [name, value];
  });
  const settings: TargetSettings = {
    ...(unit !== undefined && { unit }),
    ...(fragments && { shared: 'apart' }),
    ...(tokens !== undefined && { tokens }),
    ...Object.fromEntries(pairs),
  };
  if (Object.keys(settings).length === 0) return settings;
  const { TARGETS } = await import('../core/emit/targets');
  const problem = problemOfSettings(TARGETS[target].options, settings);
  if (problem !== null) throw new UsageError(problem);
  return settings;
}

/** The names of targets are known by the targets alone, which take a while to load. */
async function readTarget(target: string): Promise<TargetName> {
  const { TARGET_NAMES } = await import('../core/emit/targets');
  return oneOf<TargetName>(target, TARGET_NAMES, '--target');
}

function oneOf<T extends string>(value: string, allowed: readonly T[], flag: string): T {
  const found = allowed.find((candidate) => candidate === value);
  if (found === undefined) throw new UsageError(`${flag} takes ${allowed.join(' or ')}, not "${value}".`);
  return found;
}

function readLanguage(tag: string): string {
  if (!LANGUAGE_TAG.test(tag))
    throw new UsageError(`--lang takes a language tag such as en or pt-BR, not "${tag}".`);
  return tag;
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

async function open(file: string): Promise<Uint8Array> {
  try {
    return await readFile(file);
  } catch (error) {
    const missing = error instanceof Error && 'code' in error && error.code === 'ENOENT';
    throw new InputError(missing ? `There is no file ${file}.` : `The file ${file} could not be opened.`);
  }
}

async function openJson(file: string, kind: string): Promise<JsonFile> {
  const text = new TextDecoder().decode(await open(file));
  try {
    return { file, json: JSON.parse(text) as unknown };
  } catch {
    throw new InputError(`The ${kind} file ${file} is no JSON.`);
  }
}
