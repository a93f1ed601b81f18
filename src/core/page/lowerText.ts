import { MEASURED } from './tolerances';
import type { TypeLook } from '../look/look';
import type { Faces } from '../mockup/bounds';
import type { TextLayer, TextLine, TextRun } from '../mockup/layer';
import { spread, type Box } from '../mockup/box';
import { memoizeByObject } from '../mockup/memoize';
import { applyTo, isUniform, isUpright, meanScale, type Matrix } from '../mockup/matrix';
import { SHARE_BEFORE, type FaceMetrics } from '../mockup/type';
import { fontStretch } from '../type/fontStretch';
import {
  baselineInLine,
  evenBaselines,
  evenSpacing,
  shiftToRows,
  type LineShift,
  roundedExtents,
  NO_SHIFT,
} from './baselines';
import { effectsLook, elementClip } from './layerEffects';
import { neutralWhereRunsDiffer, spanLook, typeLook } from './typeLook';
import type { SharedParts } from './lower';
import type { Place, LinearTransform } from './place';
import type { TextNode, TextNodeLine } from './node';

/**
 * A text as a text node whose first baseline falls where it was drawn.
 * @param flows true to give scaled letters the size that is visible, and to let words be as wide as a reader's font
 *   makes them: what was drawn only says how much room they have
 */
export function lowerText(
  drawnLayer: TextLayer,
  matrix: Matrix,
  shared: SharedParts,
  faces: Faces,
  flows: boolean,
): TextNode | null {
  const layer = flows ? withOwnWidth(drawnLayer) : drawnLayer;
  const [first] = layer.lines;
  const main = mainRun(layer);
  const face = main && faces[main.face];
  if (!first || !main || !face) return null;
  const stretch = commonStretch(layer);
  const scaling = scalingOf(layer, main, matrix, flows);
  const baked = scaling !== null;
  const { scale, across } = scaling ?? { scale: 1, across: 1 };
  const size = main.style.size * scale;
  // Lines align as they were drawn, whatever width their own font has.
  const plain = regularSpacing(drawnLayer, 0, main.style.size);
  const spacing = plain ?? regularSpacing(drawnLayer, 1, main.style.size);
  /** True when lines align only if their trailing white space counts; in the flow nobody writes half a space. */
  const hangs = !flows && plain === null && spacing !== null;
  const extents = roundedExtents(face.metrics, size);
  const lineHeight = spacing === null ? extents.ascent + extents.descent : spacing * scale;
  const baseline = baselineInLine(face.metrics, size, lineHeight);

  const left = Math.min(...layer.lines.map((line) => line.x));
  const rightEdge = Math.max(
    ...layer.lines.map((line) => line.x + line.width + (hangs ? line.trailingSpace : 0)),
  );
  const start = baked ? applyTo(matrix, { x: left, y: first.baseline }) : { x: left, y: first.baseline };
  const follows = spacing !== null || layer.lines.length === 1;
  const regular = follows && stretch !== null && !hangs;
  const unstretched = regular ? stretch : 1;
  const widened = unstretched * across;
  const drawn = baselinesOf(layer, start.y, scale);
  const even = follows ? evenBaselines(start.y, lineHeight, drawn.length) : drawn;
  const { phase, baselineOffset } = baked ? shiftToRows(even, drawn) : fitTurned(even, drawn, matrix);
  const height = follows
    ? lineHeight * layer.lines.length
    : spread(layer.lines.map(({ baseline }) => baseline)) * scale + lineHeight;
  const box = {
    x: start.x,
    y: start.y + phase - baseline,
    width: ((rightEdge - left) * scale) / unstretched,
    height,
  };
  // A text that starts at its left end needs no width; others are set within their measured width.
  const hugs = layer.align === 'start' && regular && !layer.rightToLeft;
  const place = baked ? uprightPlace(box, hugs, widened) : turnedText(box, matrix, hugs, widened);

  const alone = layer.lines.length === 1;
  const type = neutralWhereRunsDiffer(
    typeLook(main, scale, lineHeight, alone ? 'start' : layer.align, layer),
    layer,
  );
  const dressed = baked ? matrix : ([1, 0, 0, 1, 0, 0] as const);
  const clip = elementClip(layer.clip, dressed, box);
  return {
    kind: 'text',
    ...shared,
    place,
    look: { type, ...effectsLook(layer, dressed), ...(clip && { clip }) },
    baseline,
    extents,
    // A space was drawn as narrow as the words around it.
    space: spaceOf(face.metrics, main, scale) * (flows ? meanStretch(drawnLayer) : 1),
    baselineOffset,
    lines: layer.lines.map((line) => lowerLine(line, scale, type, regular ? null : { left, first, hangs })),
    ...(follows && !regular && { hasRegularLines: true }),
    ...(alone && layer.align !== 'start' && { anchor: layer.align }),
    faces: [...new Set(layer.lines.flatMap((line) => line.runs.map((run) => run.face)))],
  };
}

/** The text without the stretch that fits a font to the widths that another one had. */
const withOwnWidth = memoizeByObject((layer: TextLayer): TextLayer =>
  layer.lines.every(({ stretch }) => stretch === 1)
    ? layer
    : { ...layer, lines: layer.lines.map(unstretched) },
);

/** A line without stretch: as wide as its own font has it, or as another one had it. */
function unstretched(line: TextLine): TextLine {
  const isOwn = fontStretch(line) === 1;
  return { ...line, stretch: 1, width: isOwn ? line.width / line.stretch : line.width };
}

/**
 * The scale of the letters' size, and the horizontal stretch beyond it, when both go into the type; null when
 * a transform does it.
 */
function scalingOf(
  { lines }: TextLayer,
  main: TextRun,
  matrix: Matrix,
  flows: boolean,
): { readonly scale: number; readonly across: number } | null {
  if (isUniform(matrix))
    return flows || !isDrawnSmall(main, matrix) ? { scale: meanScale(matrix), across: 1 } : null;
  const [line, ...more] = lines;
  if (!flows || !line || more.length > 0 || !isUpright(matrix)) return null;
  const [across, down] = [matrix[0], matrix[3]];
  const isSame = Math.abs(across - down) * line.width <= MEASURED.lineLength;
  return isSame ? { scale: across, across: 1 } : { scale: down, across: across / down };
}

/** The same for transformed lines: upright ones stay in their visible rows of px. */
function fitTurned(set: readonly number[], drawn: readonly number[], matrix: Matrix): LineShift {
  if (!isUpright(matrix)) return NO_SHIFT;
  const seen = (baselines: readonly number[]) => baselines.map((y) => applyTo(matrix, { x: 0, y }).y);
  const { phase, baselineOffset } = shiftToRows(seen(set), seen(drawn));
  return { phase: 0, baselineOffset: phase + baselineOffset };
}

/** Below this scale, letters rasterise differently from letters of the smaller size. */
const SMALL_SCALE = 0.5;

/** Letters with geometric precision are drawn at their own size and scaled. */
function isDrawnSmall({ style }: TextRun, matrix: Matrix): boolean {
  return style.exact && meanScale(matrix) <= SMALL_SCALE;
}

/** The width of a word space, px. */
function spaceOf({ space, unitsPerEm }: FaceMetrics, { style }: TextRun, scale: number): number {
  return ((space / unitsPerEm) * style.size + style.letterSpacing + style.wordSpacing) * scale;
}

function baselinesOf({ lines }: TextLayer, first: number, scale: number): readonly number[] {
  return lines.map((line) => first + (line.baseline - lines[0]!.baseline) * scale);
}

/**
 * The place of upright letters. Stretched ones start at a whole px, as browsers put them.
 * @param widened the horizontal stretch
 */
export function uprightPlace(box: Box, hugs: boolean, widened: number): Place {
  if (widened === 1) return { kind: 'fixed', ...box, fitsContent: hugs, linear: null };
  const x = Math.floor(box.x);
  return {
    kind: 'fixed',
    ...box,
    x,
    fitsContent: hugs,
    linear: [widened, 0, 0, 1],
    subpixelShift: box.x - x,
  };
}

function turnedText(box: Box, matrix: Matrix, hugs: boolean, widened: number): Place {
  const corner = applyTo(matrix, { x: box.x, y: box.y });
  const turn: LinearTransform = [matrix[0] * widened, matrix[1] * widened, matrix[2], matrix[3]];
  return { kind: 'fixed', ...box, x: corner.x, y: corner.y, fitsContent: hugs, linear: turn };
}

/** The run that sets the line: the largest, the first of equals. */
function mainRun(layer: TextLayer): TextRun | null {
  let main: TextRun | null = null;
  for (const run of layer.lines.flatMap((line) => line.runs)) {
    const standing = run.baselineShift === 0;
    if (run.text.trim() !== '' && (!main || (standing && run.style.size > main.style.size))) main = run;
  }
  return main;
}

/** Drawn width for one px of measured width. */
function meanStretch({ lines }: TextLayer): number {
  const sum = (of: (line: TextLine) => number) => lines.reduce((all, line) => all + of(line), 0);
  const natural = ({ width, stretch }: TextLine) => width / stretch;
  return sum((line) => natural(line) * fontStretch(line)) / (sum(natural) || 1) || 1;
}

/** The stretch that all lines share, within half a px; null when they differ. */
function commonStretch({ lines }: TextLayer): number | null {
  const natural = lines.reduce((sum, line) => sum + line.width / line.stretch, 0);
  const stretch = lines.reduce((sum, line) => sum + line.width, 0) / (natural || 1);
  const alike = lines.every(
    (line) => Math.abs((line.width / line.stretch) * (line.stretch - stretch)) <= 0.5,
  );
  return alike ? (lines.every((line) => line.stretch === 1) ? 1 : stretch) : null;
}

/**
 * Px between the baselines of a regular paragraph: even lines, aligned as the text says; null for any other
 * text.
 * @param counted the share of the trailing white space that counts, 0–1
 * @param size font size in px of the lines
 */
function regularSpacing(layer: TextLayer, counted: 0 | 1, size: number): number | null {
  const [first] = layer.lines;
  if (!first || layer.lines.length < 2) return null;
  const share = SHARE_BEFORE[layer.align];
  const fromLeft = layer.rightToLeft ? 1 - share : share;
  const anchor = (line: TextLine) => line.x + (line.width + counted * line.trailingSpace) * fromLeft;
  const aligned = layer.lines.every((line) => Math.abs(anchor(line) - anchor(first)) <= MEASURED.baseline);
  return aligned
    ? evenSpacing(
        layer.lines.map(({ baseline }) => baseline),
        size,
      )
    : null;
}

function lowerLine(
  line: TextLine,
  scale: number,
  type: TypeLook,
  apart: { readonly left: number; readonly first: TextLine; readonly hangs: boolean } | null,
): TextNodeLine {
  const spans = line.runs.map((run) => ({
    text: run.text,
    look: spanLook(run, scale, type),
    ...(run.href !== undefined && { href: run.href }),
  }));
  const [width, trailingSpace] = [line.width * scale, line.trailingSpace * scale];
  if (!apart) return { spans, width, trailingSpace, at: null };
  return {
    spans,
    width,
    trailingSpace,
    at: {
      x: (line.x - apart.left) * scale,
      y: (line.baseline - apart.first.baseline) * scale,
      stretch: line.stretch,
      trailingSpace: apart.hangs ? trailingSpace : 0,
    },
  };
}
