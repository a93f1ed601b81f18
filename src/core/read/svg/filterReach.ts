import type { FilterReach } from '../../mockup/layer';
import { BLUR_REACH } from '../../mockup/bounds';
import type { Edges } from '../../mockup/box';
import { elementsIn, type XmlNode } from '../xml/node';
import type { Here } from './context';
import { parseLength } from './lengths';

/** Px by which a picture reaches beyond the source on each side, less than 0 where it ends inside; null where it has no end. */
type Reach = Edges | null;

const NONE: Edges = { top: 0, right: 0, bottom: 0, left: 0 };

/** The extent of a filter: its region (Filter Effects 1, §6), and the results of its primitives inside. */
export function filterReach(filter: XmlNode, here: Here): FilterReach {
  const byBox = filter.attributes.filterUnits !== 'userSpaceOnUse';
  const side = (name: string, fallback: string, whole: number) =>
    parseLength(filter.attributes[name] ?? fallback, {
      fontSize: here.computed.fontSize,
      percentOf: byBox ? 1 : whole,
    }) ?? 0;
  const { width, height } = here.viewport;
  return {
    byBox,
    region: {
      x: side('x', '-10%', width),
      y: side('y', '-10%', height),
      width: side('width', '120%', width),
      height: side('height', '120%', height),
    },
    beyond: filter.attributes.primitiveUnits === 'objectBoundingBox' ? null : reachOfChain(filter),
  };
}

function reachOfChain(filter: XmlNode): Reach {
  const results = new Map<string, Reach>();
  let last: Reach = NONE;
  for (const node of elementsIn(filter).filter(({ name }) => name.startsWith('fe'))) {
    const previous: Reach = last;
    last = reachOf(node, (owner, name) => {
      const input = owner.attributes[name] ?? '';
      if (results.has(input)) return results.get(input) ?? null;
      return input.startsWith('Source') ? NONE : previous;
    });
    if (node.attributes.result) results.set(node.attributes.result, last);
  }
  return last;
}

type Input = (owner: XmlNode, name: 'in' | 'in2') => Reach;

function reachOf(node: XmlNode, input: Input): Reach {
  const { attributes } = node;
  const [first, second] = [input(node, 'in'), input(node, 'in2')];
  const numbers = (name: string, fallback: string) => {
    const [x = 0, y = x] = (attributes[name] ?? fallback)
      .trim()
      .split(/[\s,]+/)
      .map(Number);
    return { x: Math.abs(x) || 0, y: Math.abs(y) || 0 };
  };
  const offset = (fallback: number) => ({
    x: Number(attributes.dx ?? fallback) || 0,
    y: Number(attributes.dy ?? fallback) || 0,
  });
  const blurred = (reach: Reach, fallback: string) => {
    const { x, y } = numbers('stdDeviation', fallback);
    return grown(reach, x * BLUR_REACH, y * BLUR_REACH);
  };
  switch (node.name) {
    case 'feOffset':
      return moved(first, offset(0));
    case 'feGaussianBlur':
      return blurred(first, '0');
    case 'feDropShadow':
      return together([first, moved(blurred(first, '2'), offset(2))]);
    case 'feMorphology': {
      const { x, y } = numbers('radius', '0');
      return attributes.operator === 'dilate' ? grown(first, x, y) : first;
    }
    case 'feConvolveMatrix': {
      const { x, y } = numbers('order', '3');
      return grown(first, x, y);
    }
    case 'feDisplacementMap': {
      const scale = Math.abs(Number(attributes.scale ?? 0)) || 0;
      return grown(first, scale / 2, scale / 2);
    }
    case 'feColorMatrix':
      return (attributes.type ?? 'matrix') === 'matrix' && addsAlpha(attributes.values) ? null : first;
    case 'feComponentTransfer':
      return elementsIn(node).some(fillsAlpha) ? null : first;
    case 'feComposite':
      if (attributes.operator === 'in') return first ?? second;
      if (attributes.operator === 'out') return first;
      return attributes.operator === 'arithmetic' && Number(attributes.k4 ?? 0) !== 0
        ? null
        : together([first, second]);
    case 'feBlend':
      return together([first, second]);
    case 'feMerge':
      return together(elementsIn(node).map((part) => input(part, 'in')));
    default:
      return null;
  }
}

/** True when a matrix gives alpha to transparent px (Filter Effects 1, §9.6). */
function addsAlpha(values = ''): boolean {
  return (Number(values.trim().split(/[\s,]+/)[19] ?? 0) || 0) > 0;
}

/** The same of a transfer function (Filter Effects 1, §9.7). */
function fillsAlpha({ name, attributes }: XmlNode): boolean {
  if (name !== 'feFuncA') return false;
  const start = { linear: attributes.intercept, gamma: attributes.offset }[attributes.type ?? ''];
  return parseFloat(start ?? attributes.tableValues ?? '0') > 0;
}

function grown(reach: Reach, x: number, y: number): Reach {
  return (
    reach && { top: reach.top + y, right: reach.right + x, bottom: reach.bottom + y, left: reach.left + x }
  );
}

function moved(reach: Reach, { x, y }: { readonly x: number; readonly y: number }): Reach {
  return (
    reach && { top: reach.top - y, right: reach.right + x, bottom: reach.bottom + y, left: reach.left - x }
  );
}

function together(reaches: readonly Reach[]): Reach {
  return reaches.reduce<Reach>((all, reach, at) => {
    if (at === 0 || all === null || reach === null) return at === 0 ? reach : null;
    const furthest = (side: keyof Edges) => Math.max(all[side], reach[side]);
    return {
      top: furthest('top'),
      right: furthest('right'),
      bottom: furthest('bottom'),
      left: furthest('left'),
    };
  }, NONE);
}
