import type { Computed } from '../computed';
import type { Here } from '../context';
import type { Flat } from './letters';
import type { Segment } from './lines';
import { dominantBaselineShift, measureRun, piecesOf, totalWidth, type PlainLine } from './runs';

interface Fitted {
  readonly line: PlainLine;
  /** What the line's width counts after the last letter, and its `textLength` does not, px. */
  readonly gapAfter: number;
}

/** Splits at absolute positions into chunks and at shifts into segments, measures, and works in the anchor. */
export function placeSegments(flat: Flat, here: Here): Segment[] {
  const { letters } = flat;
  const lines: Segment[] = [];
  const starts = letters.flatMap((letter, at) =>
    at === 0 || letter.x !== undefined || letter.y !== undefined ? [at] : [],
  );
  let pen = { x: 0, y: 0 };
  starts.forEach((start, index) => {
    const end = starts[index + 1] ?? letters.length;
    pen = { x: letters[start]?.x ?? pen.x, y: letters[start]?.y ?? pen.y };
    const chunk: Fitted[] = [];
    let segmentStart = start;
    for (let at = start + 1; at <= end; at++) {
      const shifted = at === end || letters[at]?.dx !== undefined || letters[at]?.dy !== undefined;
      if (!shifted) continue;
      const first = letters[segmentStart];
      pen = { x: pen.x + (first?.dx ?? 0), y: pen.y + (first?.dy ?? 0) };
      const segment = measureSegment(flat, segmentStart, at, pen, here);
      chunk.push(segment);
      pen = { x: pen.x + segment.line.width - segment.gapAfter, y: pen.y };
      segmentStart = at;
    }
    const shift = anchorShift(chunk, letters[start]?.computed);
    // Of several parts only the whole has an anchor.
    const anchor = chunk.length === 1 ? anchorOf(letters[start]?.computed) : 'start';
    lines.push(...chunk.map(({ line }, at) => ({ ...line, x: line.x + shift, anchor, placed: at === 0 })));
    pen = { x: pen.x + shift, y: pen.y };
  });
  return lines;
}

function anchorOf(computed: Computed | undefined): PlainLine['anchor'] {
  const anchor = computed?.style['text-anchor'];
  return anchor === 'middle' || anchor === 'end' ? anchor : 'start';
}

/**
 * SVG 2, §11.5, "apply anchoring": shifts the chunk so that its start, middle or end is at the position of
 * its first letter. Right-to-left text starts at the right.
 */
function anchorShift(chunk: readonly Fitted[], computed: Computed | undefined): number {
  const [first] = chunk;
  if (!first || !computed) return 0;
  const left = Math.min(...chunk.map(({ line }) => line.x));
  const right = Math.max(...chunk.map(({ line, gapAfter }) => line.x + line.width - gapAfter));
  const { 'text-anchor': anchor, direction } = computed.style;
  const { x } = first.line;
  if (anchor === 'middle') return x - (left + right) / 2;
  return (anchor === 'end') !== (direction === 'rtl') ? x - right : x - left;
}

function measureSegment(
  flat: Flat,
  start: number,
  end: number,
  pen: { readonly x: number; readonly y: number },
  { context, scale }: Here,
): Fitted {
  const pieces = piecesOf(flat.letters.slice(start, end));
  const natural = pieces.map((piece) => measureRun(piece, context, 0));
  const { spacing, stretch } = fitLength(flat, start, end, totalWidth(natural));
  const runs = spacing === 0 ? natural : pieces.map((piece) => measureRun(piece, context, spacing));
  const baseline = pen.y + dominantBaselineShift(runs[0], context, scale);
  const width = totalWidth(runs) * stretch;
  return {
    line: { x: pen.x, baseline, width, trailingSpace: 0, stretch, anchor: 'start', runs },
    gapAfter: spacing,
  };
}

/** The extra letter spacing in px, or the stretch of the letters, that gives a segment its `textLength`. */
function fitLength(
  flat: Flat,
  start: number,
  end: number,
  natural: number,
): { readonly spacing: number; readonly stretch: number } {
  const wish = flat.stretches.find(
    (one) => one.start === start && Math.min(one.end, flat.letters.length) === end,
  );
  const missing = wish ? wish.length - natural : 0;
  // Within rounding the segment has its length already.
  if (!wish || natural === 0 || Math.abs(missing) < Math.max(0.3, natural * 0.002))
    return { spacing: 0, stretch: 1 };
  if (wish.adjusts === 'glyphs') return { spacing: 0, stretch: wish.length / natural };
  // The last letter has no gap after it (SVG 2, §11.5, "textLength").
  return end - start < 2 ? { spacing: 0, stretch: 1 } : { spacing: missing / (end - start - 1), stretch: 1 };
}
