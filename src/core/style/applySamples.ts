import type { Measures } from '../mockup/bounds';
import { betweenBoxes, boxOf, contains, grow, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId, ShapeLayer, TextLayer, TextRun } from '../mockup/layer';
import { SHARE_BEFORE } from '../mockup/type';
import {
  applyTo as applyMatrix,
  IDENTITY,
  invert,
  meanScale,
  multiply,
  translation,
  type Matrix,
} from '../mockup/matrix';
import type { Mockup } from '../mockup/mockup';
import { treeOf, type LayerTree } from '../mockup/tree';
import { mapRadii, outlineBox, type Outline, type Radius } from '../mockup/outline';
import type { Paint, Stroke } from '../mockup/paint';
import type { Decided, Decisions } from '../sort/decision';
import { liesIn, type Sample } from './samples';

/**
 * The mockup with the look of samples on every layer of their classes, in a theme or, for null, in none; the
 * same mockup when no class has a sample. A group passes a box's look to its backdrop, and a text's look to
 * all letters without a class.
 */
export function applySamples(
  { mockup, measures, decisions }: Decided,
  all: readonly Sample[],
  theme: string | null,
): Mockup {
  const samples = all.filter((sample) => (sample.theme ?? theme) === theme);
  if (samples.length === 0 && !someLooksLike(decisions)) return mockup;
  const everywhere = new Map([...measures.values()].flatMap((measured) => [...measured]));
  const wardrobe: SampleContext = { samples, measures: everywhere, decisions, tree: treeOf(mockup) };
  const screens = mockup.screens.map((screen) => {
    const root = applyTo(screen.root, { classes: [], shape: null, text: null }, wardrobe);
    return root === screen.root ? screen : { ...screen, root: root as GroupLayer };
  });
  return screens.every((screen, at) => screen === mockup.screens[at]) ? mockup : { ...mockup, screens };
}

function someLooksLike(decisions: Decisions): boolean {
  for (const { looksLike } of decisions.values()) if (looksLike !== null) return true;
  return false;
}

interface SampleContext {
  readonly tree: LayerTree;
  readonly samples: readonly Sample[];
  readonly measures: Measures;
  readonly decisions: Decisions;
}

/** The classes around, outermost first, and looks for layers without a class. */
interface Surroundings {
  readonly classes: readonly (readonly string[])[];
  /** For the shape that backs the group. */
  readonly shape: { readonly of: LayerId; readonly sample: SampleOf<'shape'> } | null;
  readonly text: SampleOf<'text'> | null;
}

function applyTo(layer: Layer, around: Surroundings, wardrobe: SampleContext): Layer {
  const decision = wardrobe.decisions.get(layer.id);
  if (decision?.outcome === 'sample') return layer;
  const own = decision?.classes ?? [];
  const like = decision?.looksLike ?? null;
  const find = <Kind extends 'shape' | 'text'>(kind: Kind) =>
    (like === null ? null : modelOf(kind, like, wardrobe)) ??
    (own.length === 0 ? null : bestSample(kind, own, around.classes, wardrobe.samples));
  switch (layer.kind) {
    case 'bitmap':
      return layer;
    case 'shape': {
      const sample = find('shape') ?? (around.shape?.of === layer.id ? around.shape.sample : null);
      if (!sample) return layer;
      const styled = styleShape(layer, sample, scaleFrom(sample.layer, layer, wardrobe));
      return find('shape') ? putInPlace(styled, sample, wardrobe) : styled;
    }
    case 'text': {
      const sample = find('text') ?? around.text;
      if (!sample) return layer;
      const styled = styleText(layer, sample.layer, scaleFrom(sample.layer, layer, wardrobe));
      return find('text') ? putInPlace(styled, sample, wardrobe) : styled;
    }
    case 'group': {
      const sample = find('shape');
      const backing = sample && backingOf(layer, wardrobe.measures);
      const inside: Surroundings = {
        classes: own.length === 0 ? around.classes : [...around.classes, own],
        shape: backing ? { of: backing.id, sample } : null,
        text: find('text') ?? around.text,
      };
      const layers = layer.layers.map((child) => applyTo(child, inside, wardrobe));
      const styled = layers.every((child, at) => child === layer.layers[at]) ? layer : { ...layer, layers };
      return sample ? putInPlace(styled, sample, wardrobe) : styled;
    }
  }
}

/** The layer that another one looks like; of a group, the shape that backs it. Null for one of another kind. */
function modelOf<Kind extends 'shape' | 'text'>(
  kind: Kind,
  like: LayerId,
  { tree, measures }: SampleContext,
): SampleOf<Kind> | null {
  const layer = tree.layer(like);
  const model = kind === 'shape' && layer?.kind === 'group' ? backingOf(layer, measures) : layer;
  return model?.kind === kind ? ({ layer: model, holds: 'look' } as SampleOf<Kind>) : null;
}

/** A sample by the kind of its layer. */
type SampleOf<Kind> = Pick<Sample, 'holds'> & {
  readonly layer: Kind extends 'shape' ? ShapeLayer : TextLayer;
};

/**
 * Of all matching samples, one of the theme precedes a common one, a longer path a shorter, a later one an
 * earlier.
 */
function bestSample<Kind extends 'shape' | 'text'>(
  kind: Kind,
  own: readonly string[],
  around: readonly (readonly string[])[],
  samples: readonly Sample[],
): SampleOf<Kind> | null {
  const rank = ({ theme, path }: Sample) => (theme === null ? 0 : 1000) + path.length;
  let best: Sample | null = null;
  for (const sample of samples) {
    const { layer, path } = sample;
    if (layer.kind !== kind || !own.includes(path.at(-1) ?? '')) continue;
    if (liesIn(path.slice(0, -1), around) && (!best || rank(sample) >= rank(best))) best = sample;
  }
  return best as SampleOf<Kind> | null;
}

/** The first shape that contains the whole group. */
function backingOf(group: GroupLayer, measures: Measures): ShapeLayer | null {
  const all = measures.get(group.id)?.painted;
  const backs = (child: Layer): child is ShapeLayer => {
    const painted = child.kind === 'shape' ? measures.get(child.id)?.painted : null;
    return Boolean(all && painted && contains(grow(painted, 1), all));
  };
  return group.layers.find(backs) ?? null;
}

/** The layer as far from the top left corner of the group around it as its sample, where that holds its place. */
function putInPlace<Kind extends Layer>(
  layer: Kind,
  { layer: sample, holds }: SampleOf<'shape'> | SampleOf<'text'>,
  { tree, measures }: SampleContext,
): Kind {
  if (holds !== 'place') return layer;
  const offset = (id: LayerId) => {
    const [own, around] = [id, tree.parent(id) ?? id].map((each) => measures.get(each)?.painted);
    return own && around ? { x: own.x - around.x, y: own.y - around.y } : null;
  };
  const [wanted, drawn] = [offset(sample.id), offset(layer.id)];
  const around = measures.get(tree.parent(layer.id) ?? '')?.matrix ?? IDENTITY;
  const inverse = invert(around);
  if (!wanted || !drawn || !inverse) return layer;
  const [from, to] = [applyMatrix(inverse, drawn), applyMatrix(inverse, wanted)];
  return { ...layer, transform: multiply(translation(to.x - from.x, to.y - from.y), layer.transform) };
}

/** The ratio of a px in the sample's coordinates to one in the layer's. */
function scaleFrom(sample: Layer, layer: Layer, { measures }: SampleContext): number {
  const scale = (key: LayerId) => meanScale(measures.get(key)?.matrix ?? IDENTITY);
  return scale(sample.id) / (scale(layer.id) || 1);
}

function styleShape(
  shape: ShapeLayer,
  { layer: sample, holds }: SampleOf<'shape'>,
  scale: number,
): ShapeLayer {
  const outline = holds !== 'look' ? withSize(shape.outline, sample.outline, scale) : shape.outline;
  const fit = betweenBoxes(outlineBox(sample.outline), outlineBox(outline));
  const { opacity, blend, effects, filter, strokeFirst } = sample;
  return {
    ...shape,
    opacity,
    blend,
    effects,
    filter,
    strokeFirst,
    outline: withCorners(outline, sample.outline, scale),
    fill: sample.fill && fitPaint(sample.fill, fit),
    stroke: sample.stroke && fitStroke(sample.stroke, fit, scale),
  };
}

/** Letters in the text's first look take the sample's look; others keep theirs. */
function styleText(text: TextLayer, sample: TextLayer, scale: number): TextLayer {
  const [model] = sample.lines.flatMap(({ runs }) => runs);
  const [first] = text.lines.flatMap(({ runs }) => runs);
  if (!model || !first) return text;
  const plain = lookOf(first);
  const fit = betweenBoxes(letterBox(sample), letterBox(text));
  const ratio = (model.style.size * scale) / first.style.size;
  const { opacity, blend, effects, filter } = sample;
  const dress = (run: TextRun): TextRun => {
    const isPlain = lookOf(run) === plain;
    const style = isPlain ? model.style : run.style;
    return {
      ...run,
      style: { ...style, size: isPlain ? style.size * scale : style.size * ratio },
      fill: isPlain ? model.fill && fitPaint(model.fill, fit) : run.fill,
      stroke: isPlain ? model.stroke && fitStroke(model.stroke, fit, scale) : run.stroke,
      face: isPlain ? model.face : run.face,
      width: run.width * ratio,
      baselineShift: run.baselineShift * ratio,
    };
  };
  const lines = text.lines.map((line) => {
    const width = line.width * ratio;
    const moved = SHARE_BEFORE[line.anchor] * (line.width - width);
    return { ...line, x: line.x + moved, width, stretch: line.stretch * ratio, runs: line.runs.map(dress) };
  });
  return { ...text, opacity, blend, effects, filter, lines };
}

function lookOf({ style, fill, stroke }: TextRun): string {
  return JSON.stringify([style, fill, stroke]);
}

/** About where the letters stand; only paints that run across them ask for it. */
function letterBox({ lines }: TextLayer): Box | null {
  const [first] = lines;
  const size = first?.runs[0]?.style.size ?? 0;
  if (!first) return null;
  const xs = lines.map(({ x }) => x);
  const ends = lines.map(({ x, width }) => x + width);
  const last = lines.at(-1) ?? first;
  return boxOf(Math.min(...xs), first.baseline - size, Math.max(...ends), last.baseline);
}

/** A box of the sample's size, with its own top left corner. */
function withSize(outline: Outline, sample: Outline, scale: number): Outline {
  if (!('box' in outline) || !('box' in sample)) return outline;
  const { width, height } = sample.box;
  return { ...outline, box: { ...outline.box, width: width * scale, height: height * scale } };
}

/** Corners are part of a box's look, as far as its sides have room for them. */
function withCorners(outline: Outline, sample: Outline, scale: number): Outline {
  if (outline.kind !== 'rect' || sample.kind !== 'rect') return outline;
  const { width, height } = outline.box;
  const fit = ({ x, y }: Radius): Radius => ({
    x: Math.min(x * scale, width / 2),
    y: Math.min(y * scale, height / 2),
  });
  return { ...outline, radii: mapRadii(sample.radii, fit) };
}

function fitPaint(paint: Paint, fit: Matrix): Paint {
  return paint.kind === 'linear' || paint.kind === 'radial'
    ? { ...paint, transform: multiply(fit, paint.transform) }
    : paint;
}

function fitStroke(stroke: Stroke, fit: Matrix, scale: number): Stroke {
  const by = stroke.fixedWidth ? 1 : scale;
  return {
    ...stroke,
    paint: fitPaint(stroke.paint, fit),
    width: stroke.width * by,
    dashes: stroke.dashes.map((length) => length * by),
    dashOffset: stroke.dashOffset * by,
  };
}
