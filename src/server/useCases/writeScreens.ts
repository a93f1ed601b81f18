import Joi from 'joi';
import { zipSync } from 'fflate';
import type { OutputFile } from '../../engine/produce';
import { SCREEN_FORMATS, type ScreenFormat } from '../../engine/screens/screenFiles';
import { Refusal } from '../http';
import { screensInWorker } from '../workers/workers';
import { mockupState, sourceOfRevision } from './mockupState';

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
  const { revision, tags, options, project } = await mockupState(id);
  const { files } = await screensInWorker(
    {
      ...(await sourceOfRevision(revision.id)),
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
