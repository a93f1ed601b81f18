import type { RecordedLayer } from '../../core/buildRecord';
import type { SourceSpan } from '../../core/emit/sourceMap';
import { bottom, right, type Box } from '../../core/mockup/box';
import type { MeasuredElement } from './measurePage';

/** A layer that stands elsewhere on the page than in the mockup. */
export interface Shift {
  readonly layer: RecordedLayer;
  /** By how many px, at the edge that is farthest off. */
  readonly px: number;
}

/** A text that is cut off on the page and not in the mockup. */
export interface CutText {
  readonly layer: RecordedLayer;
  readonly px: number;
}

interface Compared {
  readonly layers: readonly RecordedLayer[];
  readonly spans: readonly SourceSpan[];
  readonly elements: readonly MeasuredElement[];
}

/** Each layer that has a place in both, the farthest first. Of a text, the start of its first line counts. */
export function shiftsOf({ layers, spans, elements }: Compared): readonly Shift[] {
  const byId = new Map(layers.map((layer) => [layer.id, layer]));
  return spans
    .flatMap(({ layer: id, element }): Shift[] => {
      const layer = byId.get(id);
      const measured = elements[element];
      if (!layer?.drawn || !measured) return [];
      const { box, isText } = layer.drawn;
      if (!isText) return [{ layer, px: largestOffset(measured.box, box) }];
      return measured.line ? [{ layer, px: startOffset(measured.line, box) }] : [];
    })
    .sort((one, other) => other.px - one.px);
}

/** The texts that the page cuts off, though the mockup shows all of them. */
export function cutTexts({ layers, spans, elements }: Compared): readonly CutText[] {
  const byId = new Map(layers.map((layer) => [layer.id, layer]));
  return spans.flatMap(({ layer: id, element }): CutText[] => {
    const layer = byId.get(id);
    const measured = elements[element];
    if (!layer?.box || !measured || measured.cut <= VISIBLE_CUT) return [];
    const seen = (measured.line?.width ?? 0) - measured.cut;
    // What the mockup cuts off as well is meant.
    return layer.kind === 'text' && layer.box.width > seen + VISIBLE_CUT ? [{ layer, px: measured.cut }] : [];
  });
}

/** Px of letters that nobody misses: overhangs of italics, side bearings. */
const VISIBLE_CUT = 2;

function largestOffset(one: Box, other: Box): number {
  return Math.max(
    startOffset(one, other),
    Math.abs(right(one) - right(other)),
    Math.abs(bottom(one) - bottom(other)),
  );
}

function startOffset(one: Box, other: Box): number {
  return Math.max(Math.abs(one.x - other.x), Math.abs(one.y - other.y));
}
