import { LRUCache } from 'lru-cache';
import Joi from 'joi';
import sharp from 'sharp';
import { measureMockup, type Measures } from '../../core/mockup/bounds';
import type { Layer, LayerKey } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
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
import type { Outliner, StandaloneOptions } from '../../core/pictures/standaloneSvg';
import { decide } from '../../core/sort/decide';
import type { Decisions } from '../../core/sort/decision';
import { arrangementMark, settleMockup } from '../../core/sort/settle';
import type { Tags } from '../../core/sort/tag';
import { findSamples } from '../../core/style/samples';
import { wearSamples } from '../../core/style/wear';
import { createFontBook } from '../../engine/fonts/fontBook';
import { givenFonts } from '../../engine/fonts/givenFonts';
import { dataUri } from '../../engine/pictures/renderPicture';
import { outlinerOf } from '../../engine/produce';
import { pool } from '../db/pool';
import { getRevision, newestPicture, revisionAssets } from '../db/tables/revisions';
import { NOT_FOUND } from '../http';
import { currentTags } from './currentTags';

export interface DrawingWish {
  readonly screen: string;
  readonly of: DrawingKind;
  /** The layers to show, for `layers`. */
  readonly layer: readonly LayerKey[];
  /** For `layers`: true for the picture that they become, no larger than they are. */
  readonly fit: boolean;
  /** Absent for what is drawn; else layers wear the looks of their samples: `all` for no theme, `.fog` for that one. */
  readonly worn?: string;
}

export const drawingSchema = Joi.object<DrawingWish>({
  screen: Joi.string().max(2000).required(),
  of: Joi.string()
    .valid(...DRAWINGS)
    .required(),
  layer: Joi.array().items(Joi.string().max(2000)).single().max(2000).default([]),
  fit: Joi.boolean().default(false),
  worn: Joi.string().pattern(/^(all|\.[\w-]{1,64})$/),
});

/** A mockup ready to be drawn from. */
interface Drawable {
  readonly mockup: Mockup;
  readonly assets: Assets;
  readonly layers: ReadonlyMap<LayerKey, Layer>;
  readonly measures: ReadonlyMap<string, Measures>;
  readonly outliner: Outliner;
  /** Its bitmaps as addresses, small enough for a row of the worksheet. */
  readonly small: Map<string, Promise<string>>;
}

/** Readings and tags that arrange them settle what is drawn; the last few are kept, since rows ask one by one. */
const drawables = new LRUCache<string, Promise<Drawable>>({ max: 3 });

/** A screen of a mockup as SVG: all of it with what lies past its edge, or only some of it on empty ground. */
export async function drawScreen(mockupId: string, wish: DrawingWish): Promise<string> {
  const { drawable, tags } = await open(mockupId);
  const { assets, outliner } = drawable;
  const decisions =
    wish.worn || wish.of === 'pictures' ? decide(drawable.mockup, drawable.measures, tags) : null;
  const { mockup, measures } = wish.worn && decisions ? dressed(drawable, decisions, wish.worn) : drawable;
  const screen = mockup.screens.find(({ key }) => key === wish.screen);
  const measured = screen && measures.get(screen.key);
  if (!screen || !measured) throw NOT_FOUND('This screen');
  const options = { mockup, outliner, bitmapAddress: (name: string) => dataUri(name, mockup, assets) };
  if (wish.of === 'all' || wish.of === 'hidden') return screenDrawing(screen, wish.of === 'hidden', options);
  const keys = decisions && wish.of === 'pictures' ? pictureKeys(screen, decisions) : new Set(wish.layer);
  if (!wish.fit) return layersDrawing(screen, keys, measured, options);
  const picture = pictureDrawing(screen, keys, measured, options);
  if (picture === null) throw NOT_FOUND('This layer');
  return picture;
}

function dressed(
  { mockup, measures }: Drawable,
  decisions: Decisions,
  worn: string,
): Pick<Drawable, 'mockup' | 'measures'> {
  const decided = { mockup, measures, decisions };
  const shown = wearSamples(decided, findSamples(decided), worn === 'all' ? null : worn.slice(1));
  return { mockup: shown, measures: shown === mockup ? measures : measureMockup(shown) };
}

export interface SmallDrawing {
  /** Null for what cannot be told small. */
  readonly svg: string | null;
  /** False where tags arrange the mockup itself, so that the same key may look otherwise tomorrow. */
  readonly lasting: boolean;
}

/** One layer alone, small. */
export async function drawLayer(mockupId: string, key: LayerKey): Promise<SmallDrawing> {
  const { drawable, tags } = await open(mockupId);
  const lasting = arrangementMark(tags) === arrangementMark(new Map());
  return { svg: await drawSmall(drawable, key), lasting };
}

async function drawSmall(drawable: Drawable, key: LayerKey): Promise<string | null> {
  const layer = drawable.layers.get(key);
  if (!layer) throw NOT_FOUND('This layer');
  const { mockup, measures, outliner } = drawable;
  const measured = [...measures.values()].find((one) => one.has(key));
  const names = new Set<string>();
  const drawn = (bitmapAddress: StandaloneOptions['bitmapAddress']) =>
    measured ? layerDrawing(layer, measured, { mockup, outliner, bitmapAddress, decimals: 1 }) : null;
  // The first drawing says which bitmaps it needs.
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
  const mark = `${newest.id} ${newest.picture_digest} ${arrangementMark(tags)}`;
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
  const mockup = settleMockup(revision.tree, tags);
  const { book } = createFontBook().withFonts(givenFonts(mockup, assets));
  return {
    mockup,
    assets,
    layers: layersByKey(mockup),
    measures: measureMockup(mockup),
    outliner: outlinerOf(book),
    small: new Map(),
  };
}
