import type { Measures } from '../mockup/bounds';
import { grow, snapOut, union, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import { IDENTITY } from '../mockup/matrix';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import type { Decisions } from '../sort/decision';
import { asPicture, bare, standaloneSvg, type PlacedLayer } from './standaloneSvg';
import type { StandaloneOptions } from './standaloneOptions';

/** The kinds of drawings of a screen. */
export const DRAWINGS = ['all', 'hidden', 'pictures', 'layers'] as const;
export type DrawingKind = (typeof DRAWINGS)[number];

/** Px around the screen that a drawing shows. */
export const BLEED = 200;

/** The area of a screen's drawings, px. */
export function drawingBox({ width, height }: Pick<Screen, 'width' | 'height'>): Box {
  return grow({ x: 0, y: 0, width, height }, BLEED);
}

/** Single layers at their place on empty ground, without their surroundings. */
export function layersDrawing(
  screen: Screen,
  keys: ReadonlySet<LayerId>,
  measures: Measures,
  options: StandaloneOptions,
): string {
  const placed: PlacedLayer[] = [];
  const visit = (layer: Layer) => {
    const measure = measures.get(layer.id);
    if (measure && keys.has(layer.id)) placed.push({ layer: bare(layer), matrix: measure.matrix });
    else if (layer.kind === 'group') layer.layers.forEach(visit);
  };
  visit(screen.root);
  return standaloneSvg(placed, drawingBox(screen), options);
}

/**
 * Single layers as the picture that they become: of the size that they paint, one alone at full opacity; null
 * for nothing.
 */
export function pictureDrawing(
  screen: Screen,
  keys: ReadonlySet<LayerId>,
  measures: Measures,
  options: StandaloneOptions,
): string | null {
  const layers = walk(screen.root).filter(({ id }) => keys.has(id));
  const painted = layers.reduce<Box | null>(
    (all, { id }) => union(all, measures.get(id)?.painted ?? null),
    null,
  );
  if (!painted) return null;
  const placed = layers.flatMap((layer): PlacedLayer[] => {
    const measure = measures.get(layer.id);
    const drawn = keys.size === 1 ? asPicture(layer) : bare(layer);
    return measure ? [{ layer: drawn, matrix: measure.matrix }] : [];
  });
  return standaloneSvg(placed, snapOut(painted), options);
}

/** The whole screen with content past its edges; `withHidden` shows hidden layers. */
export function screenDrawing(
  { root, ...screen }: Screen,
  withHidden: boolean,
  options: StandaloneOptions,
): string {
  const shown = withHidden ? { ...root, layers: root.layers.map(unhide) } : root;
  return standaloneSvg([{ layer: shown, matrix: IDENTITY }], drawingBox(screen), options);
}

/** The layers that become pictures of their own. */
export function pictureKeys(screen: Screen, decisions: Decisions): ReadonlySet<LayerId> {
  const keys = new Set<LayerId>();
  for (const { id } of walk(screen.root)) {
    const decision = decisions.get(id);
    if (decision?.outcome !== 'picture') continue;
    if (decision.within === null) keys.add(id);
    for (const part of decision.merge?.layers ?? []) keys.add(part);
  }
  return keys;
}

/** The most parts of a thumbnail; more could not be distinguished. */
const MOST_PARTS = 300;

/** One layer alone, of the size that it paints; null when it paints nothing or has too many parts. */
export function layerDrawing(layer: Layer, measures: Measures, options: StandaloneOptions): string | null {
  const measure = measures.get(layer.id);
  if (!measure?.painted) return null;
  if (walk(layer).length > MOST_PARTS) return null;
  return standaloneSvg([{ layer: bare(layer), matrix: measure.matrix }], snapOut(measure.painted), options);
}

function unhide(layer: Layer): Layer {
  const shown = { ...layer, visible: true };
  return shown.kind === 'group'
    ? ({ ...shown, layers: shown.layers.map(unhide) } satisfies GroupLayer)
    : shown;
}
