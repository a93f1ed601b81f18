import sharp from 'sharp';
import { TARGETS } from '../../core/emit/targets';
import { measureMockup, type Measures } from '../../core/mockup/bounds';
import type { Layer, LayerId } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import { createMemo, usingMemo, type Memo } from '../../core/mockup/memoize';
import { layersByKey } from '../../core/mockup/walk';
import {
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
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { Tags } from '../../core/sort/tag';
import { findSamples } from '../../core/style/samples';
import { applySamples } from '../../core/style/applySamples';
import { createFontBook } from '../fonts/fontBook';
import { givenFonts } from '../fonts/givenFonts';
import { outlinerOf } from '../outliner';
import { dataUri } from './renderPicture';

/** What to draw of a screen. */
export interface ScreenQuery {
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

/** A mockup prepared for drawings. */
export interface Drawable {
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

export function prepareDrawable(read: Mockup, assets: Assets, tags: Tags): Drawable {
  const mockup = applyStructuralTags(read, tags);
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

/**
 * A screen of a mockup as SVG: whole with content past its edge, or a selection on empty ground. Null when there is
 * no such screen or nothing to draw.
 */
export function drawScreen(drawable: Drawable, tags: Tags, query: ScreenQuery): string | null {
  return usingMemo(drawable.memo, () => draw(drawable, tags, query));
}

function draw(drawable: Drawable, tags: Tags, query: ScreenQuery): string | null {
  const { assets, outliner } = drawable;
  const decisions =
    query.appearance || query.of === 'pictures'
      ? decide(drawable.mockup, drawable.measures, tags, TARGETS.html.capabilities)
      : null;
  const { mockup, measures } =
    query.appearance && decisions ? withAppearance(drawable, decisions, query.appearance) : drawable;
  const screen = mockup.screens.find(({ id }) => id === query.screen);
  const measured = screen && measures.get(screen.id);
  if (!screen || !measured) return null;
  const options = { mockup, outliner, bitmapAddress: (name: string) => dataUri(name, mockup, assets) };
  if (query.of === 'all' || query.of === 'hidden')
    return screenDrawing(screen, query.of === 'hidden', options);
  const keys = decisions && query.of === 'pictures' ? pictureKeys(screen, decisions) : new Set(query.layer);
  if (!query.fit) return layersDrawing(screen, keys, measured, options);
  return pictureDrawing(screen, keys, measured, options);
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

/** The thumbnail of one layer as SVG; null for a layer without one. */
export async function drawLayer(drawable: Drawable, key: LayerId): Promise<string | null> {
  const layer = drawable.layers.get(key);
  if (!layer) return null;
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
