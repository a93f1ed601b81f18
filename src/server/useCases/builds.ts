import Joi from 'joi';
import { strToU8, zipSync } from 'fflate';
import { TARGETS, TARGET_NAMES } from '../../core/emit/targets';
import { knownSettings, problemOfSettings } from '../../core/emit/targetOptions';
import type { ConvertOptions } from '../../core/convert';
import { ARRANGEMENTS, FRAME_WORDS, LANGUAGE_TAG, type PageFrame } from '../../core/page/frame';
import { pictureRecipesSchema } from '../../core/pictures/recipes/recipe';
import { SCHEMES, type Schemes } from '../../core/style/styleSheet';
import { LONGEST_TITLE } from '../../core/page/pageTitle';
import { pool } from '../db/pool';
import * as builds from '../db/tables/builds';
import { setBuildOptions } from '../db/tables/mockups';
import { newestRevision } from '../db/tables/revisions';
import type { BuildResult, BuildState } from '../buildTypes';
import { NOT_FOUND, Refusal } from '../http';
import { queueBuild } from '../jobs/buildQueue';
import { stopRunning } from '../jobs/running';
import { currentTags } from './currentTags';

export const buildSchema = Joi.object<ConvertOptions>({
  arrangement: Joi.string()
    .valid(...ARRANGEMENTS)
    .required(),
  target: Joi.string()
    .valid(...TARGET_NAMES)
    .default('html'),
  also: Joi.array()
    .items(Joi.string().valid(...TARGET_NAMES))
    .unique(),
  language: Joi.string().pattern(LANGUAGE_TAG).max(35),
  join: Joi.boolean(),
  titles: Joi.object().pattern(Joi.string().max(64), Joi.string().trim().max(LONGEST_TITLE)),
  themes: Joi.array()
    .items(Joi.string().pattern(/^[\w-]{1,64}$/))
    .max(20),
  pictures: pictureRecipesSchema,
  schemes: Joi.object<Schemes>(
    Object.fromEntries(SCHEMES.map((scheme) => [scheme, Joi.string().pattern(/^[\w-]{1,64}$/)])),
  ),
  frame: Joi.object<PageFrame>({
    stands: Joi.valid(...FRAME_WORDS.stands).required(),
    edge: Joi.valid(...FRAME_WORDS.edge).required(),
    reaches: Joi.valid(...FRAME_WORDS.reaches).required(),
  }),
  settings: Joi.object().pattern(Joi.string().max(64), Joi.string().max(64)),
}).custom((options: ConvertOptions, helpers) => {
  const problem = problemOfSettings(TARGETS[options.target].options, options.settings ?? {});
  return problem === null ? options : helpers.message({ custom: problem.replace(/\.$/, '') });
});

/** A build with its progress, its options and what came of it. */
export interface BuildView {
  readonly id: string;
  readonly mockupId: string;
  readonly options: ConvertOptions;
  readonly state: BuildState;
  readonly done: number;
  readonly total: number;
  readonly problem: string | null;
  readonly result: BuildResult | null;
  /** False for a build of an earlier Orden, which kept no record of its layers. */
  readonly hasRecord: boolean;
  /** ISO 8601. */
  readonly createdAt: string;
  /** The number of edits after it was ordered. */
  readonly editsSince: number;
}

function view(row: builds.BuildRow): BuildView {
  const { id, options, state, done, total, problem, result } = row;
  return {
    id,
    mockupId: row.mockup_id,
    options,
    state,
    done,
    total,
    problem,
    result,
    hasRecord: row.record_digest !== null,
    createdAt: row.created_at.toISOString(),
    editsSince: row.edits_since,
  };
}

/** Keeps how the page of a mockup is to be built: one setting for all steps and people. */
export async function keepOptions(mockupId: string, options: ConvertOptions): Promise<ConvertOptions> {
  if (!(await setBuildOptions(pool(), mockupId, options))) throw NOT_FOUND('This mockup');
  return options;
}

/**
 * Records a build with its input and queues it, and one for each further target. The options are kept for the next
 * one.
 * @returns their ids, that of the target itself first
 */
export async function orderBuild(
  mockupId: string,
  options: ConvertOptions,
): Promise<{ readonly ids: readonly string[] }> {
  const db = pool();
  const revision = await newestRevision(db, mockupId);
  if (!revision) throw NOT_FOUND('This mockup');
  const tags = Object.fromEntries(await currentTags(db, mockupId));
  await setBuildOptions(db, mockupId, options);
  const { also = [], ...own } = options;
  const ids: string[] = [];
  for (const target of new Set([own.target, ...also])) {
    const settings = knownSettings(TARGETS[target].options, own.settings ?? {});
    const id = await builds.insertBuild(db, mockupId, revision.id, { ...own, target, settings }, tags);
    await queueBuild(id);
    ids.push(id);
  }
  return { ids };
}

export async function getBuildView(id: string): Promise<BuildView> {
  const row = await builds.getBuild(pool(), id);
  if (!row) throw NOT_FOUND('This build');
  return view(row);
}

/** The newest builds of a mockup, the latest first. */
export async function listBuilds(mockupId: string): Promise<readonly BuildView[]> {
  return (await builds.newestBuilds(pool(), mockupId, 10)).map(view);
}

export async function cancelBuild(id: string): Promise<BuildView> {
  if (!(await builds.cancelBuild(pool(), id))) throw new Refusal(409, 'This build has ended already.');
  stopRunning(id);
  return getBuildView(id);
}

export async function getBuildFile(id: string, path: string): Promise<Uint8Array> {
  const bytes = await builds.buildFile(pool(), id, path);
  if (!bytes) throw NOT_FOUND(`The file ${path}`);
  return bytes;
}

/** All files of a build as one ZIP. Its times are fixed, so that equal builds give equal bytes. */
export async function packBuild(id: string): Promise<{ name: string; bytes: Uint8Array }> {
  const row = await builds.getBuild(pool(), id);
  if (row?.state !== 'done') throw NOT_FOUND('This build');
  const files = await builds.buildFiles(pool(), id);
  const entries = Object.fromEntries(files.map(({ path, bytes }) => [path, new Uint8Array(bytes)]));
  const name = row.result?.screens[0]?.name ?? 'page';
  const mtime = new Date('2000-01-01T00:00:00Z');
  return {
    name,
    bytes: zipSync(Object.keys(entries).length > 0 ? entries : { 'orden.json': strToU8('{}') }, { mtime }),
  };
}
