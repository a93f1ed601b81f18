import Joi from 'joi';
import type { LayerId } from '../../core/mockup/layer';
import { DRAWINGS } from '../../core/pictures/drawings';
import { structureKey } from '../../core/sort/structuralTags';
import type { Tags } from '../../core/sort/tag';
import type { ScreenQuery } from '../../engine/pictures/drawLayers';
import { pool } from '../db/pool';
import { newestRevision, revisionTree, revisionAssets } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import type { Drawing } from '../workers/drawJob';
import { drawInWorker } from '../workers/workers';
import { currentTags } from './currentTags';

export const drawingSchema = Joi.object<ScreenQuery>({
  screen: Joi.string().max(2000).required(),
  of: Joi.string()
    .valid(...DRAWINGS)
    .required(),
  layer: Joi.array().items(Joi.string().max(2000)).single().max(2000).default([]),
  fit: Joi.boolean().default(false),
  appearance: Joi.string().pattern(/^(all|\.[\w-]{1,64})$/),
});

export const layerPictureSchema = Joi.object<{ readonly layer: LayerId }>({
  layer: Joi.string().allow('').max(2000).default(''),
});

/** A screen of a mockup as SVG: whole with content past its edge, or a selection on empty ground. */
export async function drawScreen(mockupId: string, query: ScreenQuery): Promise<string> {
  const svg = await draw(mockupId, await currentTags(pool(), mockupId), { kind: 'screen', query });
  if (svg === null) throw NOT_FOUND('This screen or layer');
  return svg;
}

export interface SmallDrawing {
  /** Null for a layer without a thumbnail. */
  readonly svg: string | null;
  /** False when structural tags apply, so that the same key may look different later. */
  readonly isStable: boolean;
}

/** The thumbnail of one layer. */
export async function drawLayer(mockupId: string, layer: LayerId): Promise<SmallDrawing> {
  const tags = await currentTags(pool(), mockupId);
  const isStable = structureKey(tags) === structureKey(new Map());
  return { svg: await draw(mockupId, tags, { kind: 'layer', layer }), isStable };
}

/** Draws in a worker, which is sent the mockup when it does not have it. */
async function draw(mockupId: string, tags: Tags, drawing: Drawing): Promise<string | null> {
  const newest = await newestRevision(pool(), mockupId);
  if (!newest) throw NOT_FOUND('This mockup');
  const mark = `${newest.id} ${newest.picture_digest} ${structureKey(tags)}`;
  const job = { mark, tags: [...tags], drawing };
  const known = await drawInWorker(job);
  if (known !== 'unprepared') return known.svg;
  const tree = await revisionTree(pool(), newest.id);
  if (tree === null) throw NOT_FOUND('This mockup');
  const drawn = await drawInWorker({
    ...job,
    source: { tree, assets: await revisionAssets(pool(), newest.id) },
  });
  return drawn === 'unprepared' ? null : drawn.svg;
}
