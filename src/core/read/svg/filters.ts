import type { Effect } from '../../mockup/layer';
import { fade, type Colour } from '../../mockup/paint';
import { elementsIn, type XmlNode } from '../xml/node';
import { BLACK, parseColour } from './colours';
import { computeStyle, ROOT_STYLE } from './computed';
import { localId, type Here, type SvgContext } from './context';
import { currentColour } from './paints';
import { keepDefinition } from './definitions';
import { parseLength, parseShare } from './lengths';

/** What a filter primitive's result is known to show. */
type Image =
  | { readonly kind: 'source' }
  | { readonly kind: 'blurred'; readonly deviation: number }
  | { readonly kind: 'flood'; readonly colour: Colour }
  | {
      readonly kind: 'shadow';
      readonly dx: number;
      readonly dy: number;
      readonly deviation: number;
      readonly colour: Colour;
    }
  | { readonly kind: 'stack'; readonly images: readonly Image[] };

/** The effects that `filter` names, exact ones as such and every other as it was drawn. */
export function readEffects(here: Here): readonly Effect[] {
  const value = here.computed.style.filter;
  if (value === 'none') return [];
  const id = localId(value);
  if (id === null) return readFunctions(value, here);
  const node = here.context.byId.get(id);
  if (!node) {
    here.context.report('reference-missing', here.parentKey, { property: 'filter', target: id });
    return [];
  }
  const known = recogniseFilter(node, here.context);
  if (known) return known;
  here.context.report('filter-kept', here.parentKey);
  const definition = keepDefinition(id, here.context);
  return definition === null ? [] : [{ kind: 'defined', definition }];
}

const FUNCTION = /([\w-]+)\(((?:[^()]|\([^()]*\))*)\)/g;

/** CSS filter functions (Filter Effects 1, §5): `blur` and `drop-shadow`; others are said and left out. */
function readFunctions(value: string, here: Here): Effect[] {
  const effects: Effect[] = [];
  for (const [, name, list = ''] of value.matchAll(FUNCTION)) {
    const length = (word: string) => parseLength(word, { fontSize: here.computed.fontSize, percentOf: 0 });
    if (name === 'blur') {
      effects.push({ kind: 'blur', deviation: length(list) ?? 0 });
    } else if (name === 'drop-shadow') {
      const words = list.match(/[^\s(]+(?:\([^)]*\))?/g) ?? [];
      const [dx = 0, dy = 0, deviation = 0] = words.map(length).filter((number) => number !== null);
      const colour = words.map((word) => parseColour(word)).find((found) => found !== null);
      effects.push({
        kind: 'drop-shadow',
        dx,
        dy,
        deviation,
        colour: colour ?? currentColour(here.computed),
      });
    } else {
      here.context.report('value-ignored', here.parentKey, { property: 'filter', value });
    }
  }
  return effects;
}

/** Works out symbolically what the chain of primitives draws; null when it is more than shadows and blur. */
function recogniseFilter(filter: XmlNode, context: SvgContext): Effect[] | null {
  if (filter.attributes.primitiveUnits === 'objectBoundingBox') return null;
  const results = new Map<string, Image>();
  let last: Image | null = { kind: 'source' };
  for (const node of elementsIn(filter).filter((child) => child.name.startsWith('fe'))) {
    const previous: Image | null = last;
    const input = (name: string, owner = node) => inputImage(owner.attributes[name], results, previous);
    last = primitiveImage(node, input, context);
    if (!last) return null;
    if (node.attributes.result) results.set(node.attributes.result, last);
  }
  return last && effectsOf(last);
}

function inputImage(
  name: string | undefined,
  results: ReadonlyMap<string, Image>,
  previous: Image | null,
): Image | null {
  if (name === undefined) return previous;
  if (name === 'SourceGraphic') return { kind: 'source' };
  if (name === 'SourceAlpha') return { kind: 'shadow', dx: 0, dy: 0, deviation: 0, colour: BLACK };
  return results.get(name) ?? previous;
}

type Input = (name: string, owner?: XmlNode) => Image | null;

function primitiveImage(node: XmlNode, input: Input, context: SvgContext): Image | null {
  const number = (name: string, fallback: number) => Number(node.attributes[name] ?? fallback);
  switch (node.name) {
    case 'feFlood':
      return { kind: 'flood', colour: floodColour(node, context) };
    case 'feDropShadow': {
      const shadow: Image = {
        kind: 'shadow',
        dx: number('dx', 2),
        dy: number('dy', 2),
        deviation: deviationOf(node, '2') ?? 0,
        colour: floodColour(node, context),
      };
      return input('in')?.kind === 'source' ? { kind: 'stack', images: [shadow, { kind: 'source' }] } : null;
    }
    case 'feGaussianBlur':
      return blur(input('in'), deviationOf(node, '0'));
    case 'feOffset': {
      const image = input('in');
      if (image?.kind !== 'shadow') return null;
      return { ...image, dx: image.dx + number('dx', 0), dy: image.dy + number('dy', 0) };
    }
    case 'feColorMatrix':
      return recolour(input('in'), node.attributes.type ?? 'matrix', node.attributes.values ?? '');
    case 'feComponentTransfer':
      return fadeImage(input('in'), node);
    case 'feComposite':
      return compose(node.attributes.operator ?? 'over', input('in'), input('in2'));
    case 'feBlend':
      return (node.attributes.mode ?? 'normal') === 'normal'
        ? compose('over', input('in'), input('in2'))
        : null;
    case 'feMerge': {
      const images = elementsIn(node).map((part) => input('in', part));
      return images.every((image) => image !== null) ? { kind: 'stack', images } : null;
    }
    default:
      return null;
  }
}

function deviationOf(node: XmlNode, fallback: string): number | null {
  const [x = 0, y = x] = (node.attributes.stdDeviation ?? fallback)
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  return x === y && x >= 0 ? x : null;
}

function blur(image: Image | null, deviation: number | null): Image | null {
  if (!image || deviation === null) return null;
  if (image.kind === 'source') return { kind: 'blurred', deviation };
  // Two Gaussians one after another are one whose variance is the sum of theirs.
  return image.kind === 'shadow' ? { ...image, deviation: Math.hypot(image.deviation, deviation) } : null;
}

/** A matrix that gives every pixel one colour and scales alpha turns a shadow's colour. */
function recolour(image: Image | null, type: string, values: string): Image | null {
  if (type !== 'matrix') return null;
  const rows = values
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  if (rows.length !== 20 || !rows.every(Number.isFinite)) return null;
  const at = (row: number, column: number) => rows[row * 5 + column] ?? 0;
  const flat = [0, 1, 2].every((row) => [0, 1, 2, 3].every((column) => at(row, column) === 0));
  if (!flat)
    return image?.kind === 'shadow' && at(3, 3) > 0 && isBlack(image.colour)
      ? boosted(image, at(3, 3))
      : null;
  const shadow: Image | null =
    image?.kind === 'source' ? { kind: 'shadow', dx: 0, dy: 0, deviation: 0, colour: BLACK } : image;
  if (shadow?.kind !== 'shadow') return null;
  const channel = (row: number) => Math.round(Math.min(1, Math.max(0, at(row, 4))) * 255);
  const colour = { r: channel(0), g: channel(1), b: channel(2), alpha: 1 };
  return boosted({ ...shadow, colour: { ...colour, alpha: shadow.colour.alpha } }, at(3, 3));
}

/** A hard edge made by multiplying alpha over one is only exact before any blur, as drawing programs use it. */
function boosted(shadow: Extract<Image, { kind: 'shadow' }>, factor: number): Image | null {
  if (factor > 1 && shadow.deviation > 0) return null;
  return { ...shadow, colour: { ...shadow.colour, alpha: Math.min(1, shadow.colour.alpha * factor) } };
}

function isBlack(colour: Colour): boolean {
  return colour.r === 0 && colour.g === 0 && colour.b === 0;
}

function fadeImage(image: Image | null, node: XmlNode): Image | null {
  const functions = elementsIn(node);
  const [only] = functions;
  if (image?.kind !== 'shadow' || functions.length !== 1 || only?.name !== 'feFuncA') return null;
  if (only.attributes.type !== 'linear' || Number(only.attributes.intercept ?? 0) !== 0) return null;
  return { ...image, colour: fade(image.colour, Number(only.attributes.slope ?? 1)) };
}

function compose(operator: string, top: Image | null, below: Image | null): Image | null {
  if (!top || !below) return null;
  if (operator === 'over') return { kind: 'stack', images: [below, top] };
  if (operator === 'in' && top.kind === 'flood' && below.kind === 'shadow') {
    return { ...below, colour: fade(top.colour, below.colour.alpha) };
  }
  return null;
}

function floodColour(node: XmlNode, context: SvgContext): Colour {
  const computed = computeStyle(node, ROOT_STYLE, context.cascade);
  const value = computed.style['flood-color'];
  const colour = value.toLowerCase() === 'currentcolor' ? currentColour(computed) : parseColour(value);
  return fade(colour ?? BLACK, parseShare(computed.style['flood-opacity']));
}

/** A stack of shadows under the source, or a blurred source, as effects; null for anything else. */
function effectsOf(image: Image): Effect[] | null {
  const parts = flatten(image).filter((part) => !(part.kind === 'flood' && part.colour.alpha === 0));
  const top = parts.at(-1);
  if (parts.length === 1 && top?.kind === 'blurred') return [{ kind: 'blur', deviation: top.deviation }];
  if (top?.kind !== 'source') return null;
  const shadows = parts.slice(0, -1);
  if (!shadows.every((part) => part.kind === 'shadow')) return null;
  return shadows.map(({ dx, dy, deviation, colour }) => ({ kind: 'drop-shadow', dx, dy, deviation, colour }));
}

function flatten(image: Image): Image[] {
  return image.kind === 'stack' ? image.images.flatMap(flatten) : [image];
}
