import Joi from 'joi';
import { strToU8, zipSync } from 'fflate';
import { USUAL_OPTIONS } from '../../core/usualOptions';
import { digestOf } from '../../engine/digest';
import type { OutputFile } from '../../engine/produce';
import { TRIAL_FORMATS, type TrialFormat } from '../../core/pictures/trialFormats';
import type { Trial } from '../../engine/pictures/trials';
import { SCREEN_FORMATS, type ScreenFormat } from '../../engine/screens/screenFiles';
import { pool } from '../db/pool';
import { getMockup } from '../db/tables/mockups';
import { newestRevision, revisionAssets, revisionTree } from '../db/tables/revisions';
import { NOT_FOUND, Refusal } from '../http';
import type { PictureList, TrialQuery } from '../pictureTypes';
import type { PictureAsk, PicturesOutput } from '../workers/picturesJob';
import { picturesInWorker, screensInWorker } from '../workers/workers';
import { currentTags } from './currentTags';

const name = Joi.string().max(2000).required();
const scale = Joi.number().min(0.1).max(4).default(1);

export const trialFileSchema = Joi.object<TrialQuery>({
  picture: name,
  format: Joi.valid('png', ...TRIAL_FORMATS).required(),
  quality: Joi.number().integer().min(1).max(100).default(100),
  scale,
});

/** What is tried on a picture. */
export interface TrialRequest {
  readonly picture: string;
  readonly format: TrialFormat;
  readonly scale: number;
}

export const trialSchema = Joi.object<TrialRequest>({
  picture: name,
  format: Joi.valid(...TRIAL_FORMATS).required(),
  scale,
});

export const pictureFileSchema = Joi.object<{ readonly path: string; readonly mark?: string }>({
  path: name,
  // The mark varies caches.
  mark: Joi.string().max(200),
});

/** The pictures that a build would make, without drawing them. */
export async function listPictures(id: string, signal: AbortSignal): Promise<PictureList> {
  const output = await ask(id, { kind: 'list' }, signal);
  if (!output || !('list' in output)) throw NOT_FOUND('This mockup');
  return output.list;
}

/** A file of a picture as a build would write it. */
export async function pictureFile(id: string, path: string, signal: AbortSignal): Promise<Uint8Array> {
  return bytesOf(await ask(id, { kind: 'file', path }, signal));
}

/** A picture as a file of a format and quality would show it. */
export async function trialFile(id: string, query: TrialQuery, signal: AbortSignal): Promise<Uint8Array> {
  return bytesOf(await ask(id, { kind: 'trial-file', query }, signal));
}

/** The qualities of a format, tried on a picture. */
export async function tryPicture(id: string, request: TrialRequest, signal: AbortSignal): Promise<Trial> {
  const output = await ask(id, { kind: 'trial', ...request }, signal);
  if (!output || !('trial' in output)) throw NOT_FOUND('This picture');
  return output.trial;
}

function bytesOf(output: Exclude<PicturesOutput, 'unprepared'>): Uint8Array {
  if (!output || !('bytes' in output)) throw NOT_FOUND('This picture');
  return output.bytes;
}

/** Asks a worker, which is sent the mockup when it does not have it. */
async function ask(
  id: string,
  asked: PictureAsk,
  signal: AbortSignal,
): Promise<Exclude<PicturesOutput, 'unprepared'>> {
  const { revision, tags, options } = await stateOf(id);
  const said = JSON.stringify([tags, options.pictures, options.target, options.arrangement]);
  const mark = `${revision.id} ${revision.picture_digest} ${digestOf(strToU8(said))}`;
  const job = { mark, tags, options, ask: asked };
  const known = await picturesInWorker(job, { signal });
  if (known !== 'unprepared') return known;
  const output = await picturesInWorker({ ...job, source: await sourceOf(revision.id) }, { signal });
  return output === 'unprepared' ? null : output;
}

async function stateOf(id: string) {
  const db = pool();
  const [mockup, revision] = [await getMockup(db, id), await newestRevision(db, id)];
  if (!mockup || !revision) throw NOT_FOUND('This mockup');
  return {
    revision,
    project: mockup.project,
    tags: [...(await currentTags(db, id))],
    options: mockup.build_options ?? USUAL_OPTIONS,
  };
}

async function sourceOf(revision: string) {
  const tree = await revisionTree(pool(), revision);
  if (tree === null) throw NOT_FOUND('This mockup');
  return { tree, assets: await revisionAssets(pool(), revision) };
}

/** Which screens are written, and as what. */
export interface ScreensQuery {
  readonly format: readonly ScreenFormat[];
  /** The ids of screens; empty for the whole sheet. */
  readonly screen: readonly string[];
}

export const screensSchema = Joi.object<ScreensQuery>({
  format: Joi.array()
    .items(Joi.valid(...SCREEN_FORMATS))
    .single()
    .min(1)
    .required(),
  screen: Joi.array().items(Joi.string().max(64)).single().max(500).default([]),
});

/** Whole screens: a file, or a ZIP of several. */
export async function writeScreens(
  id: string,
  { format, screen }: ScreensQuery,
  signal: AbortSignal,
): Promise<OutputFile> {
  const { revision, tags, options, project } = await stateOf(id);
  const { files } = await screensInWorker(
    {
      ...(await sourceOf(revision.id)),
      tags,
      options,
      formats: format,
      screens: screen.length === 0 ? null : screen,
    },
    { signal },
  );
  const [only, ...others] = files;
  if (!only) throw new Refusal(404, 'The mockup has none of these screens any more; choose others.');
  if (others.length === 0) return only;
  const entries = Object.fromEntries(files.map(({ path, bytes }) => [path, bytes]));
  return { path: `${project}-screens.zip`, bytes: zipSync(entries, { level: 0 }) };
}
