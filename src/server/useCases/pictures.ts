import { SHOWN, type Shown } from '../fileResponse';
import Joi from 'joi';
import { strToU8 } from 'fflate';
import { digestOf } from '../../engine/digest';
import { TRIAL_FORMATS, type TrialFormat } from '../../core/pictures/trialFormats';
import type { Trial } from '../../engine/pictures/trials';
import { NOT_FOUND } from '../http';
import type { PictureList, TrialQuery } from '../pictureTypes';
import type { DrawnFile, PictureAsk, PicturesOutput } from '../workers/picturesJob';
import { picturesInWorker } from '../workers/workers';
import { mockupState, sourceOfRevision } from './mockupState';

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

export const pictureFileSchema = Joi.object<Shown & { readonly path: string; readonly mark?: string }>({
  ...SHOWN,
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
export async function pictureFile(id: string, path: string, signal: AbortSignal): Promise<DrawnFile> {
  return fileOf(await ask(id, { kind: 'file', path }, signal));
}

/** A picture as a file of a format and quality would show it. */
export async function trialFile(id: string, query: TrialQuery, signal: AbortSignal): Promise<Uint8Array> {
  return fileOf(await ask(id, { kind: 'trial-file', query }, signal)).bytes;
}

/** The qualities of a format, tried on a picture. */
export async function tryPicture(id: string, request: TrialRequest, signal: AbortSignal): Promise<Trial> {
  const output = await ask(id, { kind: 'trial', ...request }, signal);
  if (!output || !('trial' in output)) throw NOT_FOUND('This picture');
  return output.trial;
}

function fileOf(output: Exclude<PicturesOutput, 'unprepared'>): DrawnFile {
  if (!output || !('bytes' in output)) throw NOT_FOUND('This picture');
  return output;
}

/** Asks a worker, which is sent the mockup when it does not have it. */
async function ask(
  id: string,
  asked: PictureAsk,
  signal: AbortSignal,
): Promise<Exclude<PicturesOutput, 'unprepared'>> {
  const { revision, tags, options } = await mockupState(id);
  const said = JSON.stringify([tags, options.pictures, options.target, options.arrangement]);
  const mark = `${revision.id} ${revision.picture_digest} ${digestOf(strToU8(said))}`;
  const job = { mark, tags, options, ask: asked };
  const known = await picturesInWorker(job, { signal });
  if (known !== 'unprepared') return known;
  const output = await picturesInWorker({ ...job, source: await sourceOfRevision(revision.id) }, { signal });
  return output === 'unprepared' ? null : output;
}
