import { leafBox, type Faces, type Measures } from '../mockup/bounds';
import { betweenBoxes, bottom, boxOf, distanceToWholePx, right, transformBox, type Box } from '../mockup/box';
import type { Clip, GroupLayer, Layer, LayerId, ShapeLayer } from '../mockup/layer';
import { IDENTITY, invert, isUpright, multiply, translation, type Matrix } from '../mockup/matrix';
import type { Mockup } from '../mockup/mockup';
import type { Report } from '../findings/finding';
import type { Aligned } from '../sort/facets/align';
import type { Decisions } from '../sort/decision';

/** Px from a whole one that nobody sees. */
const SEEN = 0.02;

/** An edge between two px, and how far it is from the nearest whole one. */
export interface SoftEdges {
  readonly layer: LayerId;
  /** Px of the screen. */
  readonly box: Box;
  /** The largest distance to a whole px, 0–0.5. */
  readonly off: number;
}

/** The shapes and bitmaps in a layer whose edges lie between px, and so look soft. */
export function softEdges(layer: Layer, measures: Measures, faces: Faces): readonly SoftEdges[] {
  if (!layer.visible) return [];
  if (layer.kind === 'group') return layer.layers.flatMap((child) => softEdges(child, measures, faces));
  const matrix = measures.get(layer.id)?.matrix;
  if (layer.kind === 'text' || !matrix || !isUpright(matrix) || isCurved(layer)) return [];
  const box = leafBox(layer, matrix, faces);
  const off = box ? Math.max(...[box.x, box.y, right(box), bottom(box)].map(distanceToWholePx)) : 0;
  return box && off > SEEN ? [{ layer: layer.id, box, off }] : [];
}

/** A path has no straight edges that could be sharp, as far as its box tells. */
function isCurved(layer: Layer): boolean {
  return layer.kind === 'shape' && (layer.outline.kind === 'path' || layer.outline.kind === 'ellipse');
}

/**
 * The mockup with the edges of aligned layers on whole px; the same mockup where none is. A shape changes its size by
 * less than a px, and its stroke keeps its width.
 */
export function alignEdges(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  decisions: Decisions,
  report: Report,
): Mockup {
  const asked = [...decisions.values()].some(({ align }) => align !== null);
  if (!asked) return mockup;
  const screens = mockup.screens.map((screen) => {
    const context = { measures: measures.get(screen.id) ?? new Map<string, never>(), decisions, report };
    const root = alignedIn(screen.root, null, { ...context, faces: mockup.faces });
    return root === screen.root ? screen : { ...screen, root: root as GroupLayer };
  });
  return { ...mockup, screens };
}

interface AlignContext {
  readonly measures: Measures;
  readonly decisions: Decisions;
  readonly faces: Faces;
  readonly report: Report;
}

/** @param around what a group around it said */
function alignedIn(layer: Layer, around: Aligned | null, context: AlignContext): Layer {
  const { measures, decisions, report } = context;
  const asked = decisions.get(layer.id)?.align ?? around;
  const matrix = measures.get(layer.id)?.matrix;
  if (layer.kind === 'group') {
    const layers = layer.layers.map((child) => alignedIn(child, asked, context));
    const clip = asked !== null && matrix ? alignedClip(layer.clip, matrix) : layer.clip;
    const isSame = clip === layer.clip && layers.every((child, at) => child === layer.layers[at]);
    return isSame ? layer : { ...layer, layers, clip };
  }
  if (asked === null || !matrix || !isUpright(matrix)) return layer;
  if (layer.kind === 'text') return asked === 'all' ? alignedText(layer, matrix) : layer;
  const box = leafBox(layer, matrix, context.faces);
  if (!box) return layer;
  const whole = wholeBox(box);
  const moved = Math.max(
    ...[whole.x - box.x, whole.y - box.y, right(whole) - right(box), bottom(whole) - bottom(box)].map(
      Math.abs,
    ),
  );
  if (moved <= SEEN) return layer;
  report('edges-aligned', layer.id, { by: Math.round(moved * 100) / 100 });
  return layer.kind === 'shape' && (layer.outline.kind === 'rect' || layer.outline.kind === 'ellipse')
    ? reshaped(layer, layer.outline, matrix, box, whole)
    : { ...layer, transform: multiply(layer.transform, inOwn(matrix, betweenBoxes(box, whole))) };
}

/** The nearest box whose edges lie on whole px; no side vanishes. */
function wholeBox(box: Box): Box {
  const [left, top] = [Math.round(box.x), Math.round(box.y)];
  const side = (end: number, start: number, length: number) =>
    length > 0 ? Math.max(start + 1, Math.round(end)) : start;
  return boxOf(left, top, side(right(box), left, box.width), side(bottom(box), top, box.height));
}

/** The shape with its outline moved as its painted box is, so that its stroke keeps its width. */
function reshaped(
  layer: ShapeLayer,
  outline: Extract<ShapeLayer['outline'], { readonly box: Box }>,
  matrix: Matrix,
  painted: Box,
  whole: Box,
): ShapeLayer {
  const inverse = invert(matrix) ?? IDENTITY;
  const drawn = transformBox(matrix, outline.box);
  const box = boxOf(
    drawn.x + whole.x - painted.x,
    drawn.y + whole.y - painted.y,
    right(drawn) + right(whole) - right(painted),
    bottom(drawn) + bottom(whole) - bottom(painted),
  );
  return { ...layer, outline: { ...outline, box: transformBox(inverse, box) } };
}

/** A text whose first baseline and start lie on whole px. */
function alignedText<Text extends Extract<Layer, { kind: 'text' }>>(layer: Text, matrix: Matrix): Text {
  const [first] = layer.lines;
  if (!first) return layer;
  const { x, y } = transformBox(matrix, { x: first.x, y: first.baseline, width: 0, height: 0 });
  const move = translation(Math.round(x) - x, Math.round(y) - y);
  return { ...layer, transform: multiply(layer.transform, inOwn(matrix, move)) };
}

function alignedClip(clip: Clip | null, matrix: Matrix): Clip | null {
  if (clip?.kind !== 'outline' || clip.outline.kind !== 'rect' || !isUpright(matrix)) return clip;
  const { outline } = clip;
  const whole = wholeBox(transformBox(matrix, outline.box));
  return { ...clip, outline: { ...outline, box: transformBox(invert(matrix) ?? IDENTITY, whole) } };
}

/** A change of the screen in the coordinates of a layer. */
function inOwn(matrix: Matrix, change: Matrix): Matrix {
  const inverse = invert(matrix);
  return inverse ? multiply(multiply(inverse, change), matrix) : IDENTITY;
}
