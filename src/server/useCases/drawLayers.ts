import { TARGETS } from '../../core/emit/targets';
import { LRUCache } from 'lru-cache';
import Joi from 'joi';
import sharp from 'sharp';
import { measureMockup, type Measures } from '../../core/mockup/bounds';
import type { Layer, LayerId } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { createMemo, usingMemo, type Memo } from '../../core/mockup/memoize';
import { layersByKey } from '../../core/mockup/walk';
import {
  DRAWINGS,
  layerDrawing,
  layersDrawing,
  pictureDrawing,
  pictureKeys,
  screenDrawing,
  type DrawingKind,
} from '../../core/pictures/drawings';
import type { Outliner, StandaloneOptions } from '../../core/pictures/standaloneOptions';
import { decide } from '../../core/sort/decide/decide';
import type { Decisions } from '../../core/sort/decision';
import { structureKey, applyStructuralTags } from '../../core/sort/structuralTags';
import type { Tags } from '../../core/sort/tag';
import { findSamples } from '../../core/style/samples';
import { applySamples } from '../../core/style/applySamples';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { dataUri } from '../../engine/pictures/renderPicture';
import { outlinerOf } from '../../engine/produce';
import { pool } from '../db/pool';
import { getRevision, newestPicture, revisionAssets } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import { currentTags } from './currentTags';

export interface DrawingQuery {
  readonly screen: string;
  readonly of: DrawingKind;
  /** The layers to show, for `layers`. */
  readonly layer: readonly LayerId[];
  /** For `layers`: true for the picture that they become, of its own size. */
  readonly fit: boolean;
  /**
   * Absent for the drawn looks; else layers have the looks of their samples: `all` for no theme, `.fog` for
   * that one.
   */
  readonly appearance?: string;
}

export const drawingSchema = Joi.object<DrawingQuery>({
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

/** A mockup prepared for drawings. */
interface Drawable {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly layers: ReadonlyMap<LayerId, Layer>;
  readonly measures: ReadonlyMap<string, Measures>;
  readonly outliner: Outliner;
  /** What is kept from drawing to drawing. */
  readonly memo: Memo;
  /** Its bitmaps as data URIs, scaled down for a row of the worksheet. */
  readonly small: Map<string, Promise<string>>;
}

/** The prepared mockups by reading and structural tags; the worksheet's rows request one by one. */
const drawables = new LRUCache<string, Promise<Drawable>>({ max: 3 });

/** A screen of a mockup as SVG: whole with content past its edge, or a selection on empty ground. */
export async function drawScreen(mockupId: string, query: DrawingQuery): Promise<string> {
  const { drawable, tags } = await open(mockupId);
  return usingMemo(drawable.memo, () => draw(drawable, tags, query));
}

function draw(drawable: Drawable, tags: Tags, query: DrawingQuery): string {
  const { assets, outliner } = drawable;
  const decisions =
    query.appearance || query.of === 'pictures'
      ? decide(drawable.mockup, drawable.measures, tags, TARGETS.html.capabilities)
      : null;
  const { mockup, measures } =
    query.appearance && decisions ? withAppearance(drawable, decisions, query.appearance) : drawable;
  const screen = mockup.screens.find(({ id }) => id === query.screen);
  const measured = screen && measures.get(screen.id);
  if (!screen || !measured) throw NOT_FOUND('This screen');
  const options = { mockup, outliner, bitmapAddress: (name: string) => dataUri(name, mockup, assets) };
  if (query.of === 'all' || query.of === 'hidden')
    return screenDrawing(screen, query.of === 'hidden', options);
  const keys = decisions && query.of === 'pictures' ? pictureKeys(screen, decisions) : new Set(query.layer);
  if (!query.fit) return layersDrawing(screen, keys, measured, options);
  const picture = pictureDrawing(screen, keys, measured, options);
  if (picture === null) throw NOT_FOUND('This layer');
  return picture;
}

function withAppearance(
  { mockup, measures }: Drawable,
  decisions: Decisions,
  appearance: string,
): Pick<Drawable, 'mockup' | 'measures'> {
  const decided = { mockup, measures, decisions };
  const shown = applySamples(
    decided,
    findSamples(decided),
    appearance === 'all' ? null : appearance.slice(1),
  );
  return { mockup: shown, measures: shown === mockup ? measures : measureMockup(shown) };
}

export interface SmallDrawing {
  /** Null for a layer without a thumbnail. */
  readonly svg: string | null;
  /** False when structural tags apply, so that the same key may look different later. */
  readonly isStable: boolean;
}

/** The thumbnail of one layer. */
export async function drawLayer(mockupId: string, key: LayerId): Promise<SmallDrawing> {
  const { drawable, tags } = await open(mockupId);
  const isStable = structureKey(tags) === structureKey(new Map());
  return { svg: await drawSmall(drawable, key), isStable };
}

async function drawSmall(drawable: Drawable, key: LayerId): Promise<string | null> {
  const layer = drawable.layers.get(key);
  if (!layer) throw NOT_FOUND('This layer');
  const { mockup, measures, outliner, memo } = drawable;
  const measured = [...measures.values()].find((one) => one.has(key));
  const names = new Set<string>();
  const drawn = (bitmapAddress: StandaloneOptions['bitmapAddress']) =>
    measured
      ? usingMemo(memo, () => layerDrawing(layer, measured, { mockup, outliner, bitmapAddress, decimals: 1 }))
      : null;
  // The first drawing lists the bitmaps that it needs.
  const first = drawn((name) => {
    names.add(name);
    return '';
  });
  if (names.size === 0 || first === null) return first;
  const small = new Map<string, string>();
  for (const name of names) small.set(name, await smallBitmap(name, drawable));
  return drawn((name) => small.get(name) ?? '');
}

const SMALL_SIDE = 96;

function smallBitmap(name: string, { small, assets }: Drawable): Promise<string> {
  const ready = small.get(name);
  if (ready) return ready;
  const shrunk = sharp(assets.get(name) ?? new Uint8Array())
    .resize(SMALL_SIDE, SMALL_SIDE, { fit: 'inside', withoutEnlargement: true })
    .webp()
    .toBuffer()
    .then(
      (bytes) => `data:image/webp;base64,${bytes.toString('base64')}`,
      () => '',
    );
  small.set(name, shrunk);
  return shrunk;
}

async function open(mockupId: string): Promise<{ readonly drawable: Drawable; readonly tags: Tags }> {
  const newest = await newestPicture(pool(), mockupId);
  if (!newest) throw NOT_FOUND('This mockup');
  const tags = await currentTags(pool(), mockupId);
  const mark = `${newest.id} ${newest.picture_digest} ${structureKey(tags)}`;
  const ready = drawables.get(mark) ?? prepare(newest.id, tags);
  drawables.set(mark, ready);
  try {
    return { drawable: await ready, tags };
  } catch (error) {
    drawables.delete(mark);
    throw error;
  }
}

async function prepare(revisionId: string, tags: Tags): Promise<Drawable> {
  const revision = await getRevision(pool(), revisionId);
  if (!revision) throw NOT_FOUND('This mockup');
  const assets = await revisionAssets(pool(), revisionId);
  const mockup = applyStructuralTags(revision.tree, tags);
  const { book } = createFontBook().withFonts(givenFonts(mockup, assets));
  return {
    mockup,
    assets,
    layers: layersByKey(mockup),
    measures: measureMockup(mockup),
    outliner: outlinerOf(book),
    memo: createMemo(),
    small: new Map(),
  };
}
