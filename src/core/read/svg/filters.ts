import { COLOUR_FUNCTIONS, type Effect } from '../../mockup/layer';
import { printFunction } from '../../markup/filterFunctions';
import { elementsIn, type XmlNode } from '../xml/node';
import { parseColour } from './colours';
import { filterReach } from './filterReach';
import type { Here, SvgContext } from './context';
import { currentColour } from './paints';
import { keepDefinition } from './definitions';
import { parseLength } from './lengths';
import { parseAngle } from './transforms';
import {
  type Image,
  effectsOf,
  FORM,
  floodColour,
  deviationOf,
  blur,
  isLinear,
  grow,
  recolour,
  fadeImage,
  compose,
  operatorOf,
} from './filterImages';

export interface Filtering {
  readonly effects: readonly Effect[];
  readonly filter: string | null;
}

const PART = /url\(\s*(["']?)#(.*?)\1\s*\)|([\w-]+)\(((?:[^()]|\([^()]*\))*)\)/g;

/** What `filter` does: each part as an effect, exact where it is known and as it was drawn where not. */
export function readEffects(here: Here): Filtering {
  const value = here.computed.style.filter;
  if (value === 'none') return { effects: [], filter: null };
  const effects: Effect[] = [];
  const kept: string[] = [];
  for (const [part, , id, name, list = ''] of value.matchAll(PART)) {
    if (id !== undefined) {
      const referred = readReferred(id, here);
      if (!referred) continue;
      effects.push(...referred.effects);
      kept.push(`url(#${referred.definition})`);
    } else {
      const effect = readFunction(name ?? '', list, here);
      if (effect) {
        effects.push(effect);
        kept.push(printFunction(effect));
      } else here.context.report('value-ignored', here.parent, { property: 'filter', value: part });
    }
  }
  return { effects, filter: kept.join(' ') || null };
}

function readReferred(id: string, here: Here): { effects: readonly Effect[]; definition: string } | null {
  const node = here.context.byId.get(id);
  const definition = node?.name === 'filter' ? keepDefinition(id, here.context) : null;
  if (!node || definition === null) {
    here.context.report('reference-missing', here.parent, { property: 'filter', target: id });
    return null;
  }
  const known = recogniseFilter(node, here.context);
  if (known) return { effects: known, definition };
  here.context.report('filter-kept', here.parent);
  return { effects: [{ kind: 'defined', definition, reach: filterReach(node, here) }], definition };
}

/** A CSS filter function (Filter Effects 1, §5); null for one that is not known. */
function readFunction(
  name: string,
  list: string,
  here: Here,
): Exclude<Effect, { kind: 'defined' | 'inner-shadow' }> | null {
  const length = (word: string) => parseLength(word, { fontSize: here.computed.fontSize, percentOf: 0 });
  if (name === 'blur') return { kind: 'blur', deviation: length(list) ?? 0, linear: false };
  if (name === 'drop-shadow') {
    const words = list.match(/[^\s(]+(?:\([^)]*\))?/g) ?? [];
    const [dx = 0, dy = 0, deviation = 0] = words.map(length).filter((number) => number !== null);
    const colour = words.map((word) => parseColour(word)).find((found) => found !== null);
    const shade = colour ?? currentColour(here.computed);
    return { kind: 'drop-shadow', dx, dy, deviation, spread: 0, colour: shade, outside: false };
  }
  const known = COLOUR_FUNCTIONS.find((one) => one === name);
  if (!known) return null;
  const amount = known === 'hue-rotate' ? parseAngle(list.trim() || '0') : parseAmount(list);
  return Number.isFinite(amount) ? { kind: 'colour', function: known, amount } : null;
}

/** A number or percentage; nothing means all. */
function parseAmount(text: string): number {
  const trimmed = text.trim();
  if (trimmed === '') return 1;
  return trimmed.endsWith('%') ? parseFloat(trimmed) / 100 : Number(trimmed);
}

/**
 * Evaluates the chain of primitives symbolically; null when it is more than shadows, blur and colour changes.
 */
function recogniseFilter(filter: XmlNode, context: SvgContext): readonly Effect[] | null {
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
  if (name === 'SourceAlpha') return FORM;
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
        ...FORM,
        dx: number('dx', 2),
        dy: number('dy', 2),
        deviation: deviationOf(node, '2') ?? 0,
        colour: floodColour(node, context),
      };
      return input('in')?.kind === 'source' ? { kind: 'stack', images: [shadow, { kind: 'source' }] } : null;
    }
    case 'feGaussianBlur':
      return blur(input('in'), deviationOf(node, '0'), isLinear(node, context));
    case 'feMorphology':
      return grow(input('in'), node);
    case 'feOffset': {
      const image = input('in');
      if (image?.kind !== 'shadow' || image.cut !== 'none') return null;
      return { ...image, dx: image.dx + number('dx', 0), dy: image.dy + number('dy', 0) };
    }
    case 'feColorMatrix':
      return recolour(input('in'), node, isLinear(node, context));
    case 'feComponentTransfer':
      return fadeImage(input('in'), node);
    case 'feComposite':
      return compose(operatorOf(node), input('in'), input('in2'));
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
