import { LRUCache } from 'lru-cache';
import type { LayerId } from '../../core/mockup/layer';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { Tag } from '../../core/sort/tag';
import {
  drawLayer,
  drawScreen,
  prepareDrawable,
  type Drawable,
  type ScreenQuery,
} from '../../engine/pictures/drawLayers';

/** What to draw of a mockup. */
export type Drawing =
  | { readonly kind: 'screen'; readonly query: ScreenQuery }
  | { readonly kind: 'layer'; readonly layer: LayerId };

export interface DrawJob {
  /** Stands for the revision and its structural tags. */
  readonly mark: string;
  readonly tags: readonly (readonly [LayerId, Tag])[];
  readonly drawing: Drawing;
  /** Absent as long as the worker may have it. */
  readonly source?: { readonly tree: string; readonly assets: Assets };
}

/** Null for what has no drawing. */
export type DrawOutput = { readonly svg: string | null } | 'unprepared';

/** The mockups of this process: a worksheet asks for the drawings of its rows one by one. */
const prepared = new LRUCache<string, Drawable>({ max: 3 });

/** Draws a screen or a layer; asks for the mockup when it does not have it. */
export async function drawJob({ mark, tags, drawing, source }: DrawJob): Promise<DrawOutput> {
  const given = new Map(tags);
  const drawable =
    prepared.get(mark) ??
    (source && prepareDrawable(JSON.parse(source.tree) as Mockup, source.assets, given));
  if (!drawable) return 'unprepared';
  prepared.set(mark, drawable);
  if (drawing.kind === 'layer') return { svg: await drawLayer(drawable, drawing.layer) };
  return { svg: drawScreen(drawable, given, drawing.query) };
}
