import { bottom } from '../../../../mockup/box';
import type { BoxNode } from '../../../node';
import { placedBox } from '../../../placed';
import { BY_HAND } from '../../../tolerances';
import { showsEnd } from './paintsEnd';
import { isNear, type Row, type Span } from './row';

/** Where the rows begin and end: like rows are equally high where none moves visibly. */
export function rowSpans(rows: readonly Row[]): readonly Span[] {
  const spans = rows.map(({ box }, at): Span => ({ start: box.place.y, end: endOf(box, rows[at + 1]?.box) }));
  const [head, ...body] = spans;
  return evenSpans(spans) ?? [head!, ...(evenSpans(body) ?? body)];
}

/** Spans that touch each other, the last one aside, with the height that they have on average. */
function evenSpans(spans: readonly Span[]): readonly Span[] | null {
  const [first, ...others] = spans;
  if (!first || others.length === 0) return null;
  const touch = others.every(({ start }, at) => start === spans[at]!.end);
  const [last] = spans.slice(-1);
  const pitch = Math.round((last!.start - first.start) / others.length);
  const isEven = spans.every(
    ({ start }, at) => Math.abs(first.start + at * pitch - start) <= BY_HAND.overlap,
  );
  if (!touch || !isEven) return null;
  return spans.map((span, at) => {
    const start = first.start + at * pitch;
    const height = span.end - span.start;
    // Nothing shows where the last row ends but what is in it.
    const isShort = at === spans.length - 1 && !isNear(height, pitch);
    return { start, end: start + (isShort ? height : pitch) };
  });
}

/** Where a row ends, px: at the next one, where nothing shows another end. */
function endOf(row: BoxNode, next: BoxNode | undefined): number {
  const own = bottom(placedBox(row.place));
  if (!next) return own;
  const meets = isNear(next.place.y, own);
  const isOpen = next.place.y > own && next.place.y - own <= row.place.height && !showsEnd(row);
  return meets || isOpen ? next.place.y : own;
}
