import * as cssTree from 'css-tree';
import type { Declaration } from '../../markup/printCss';
import { memoizeText } from '../../mockup/memoize';
import type { StyleValue, TokenKind } from '../../look/styleValue';
import type { ColourPlace } from './token';

/** A value inside a declaration's text. */
export interface FoundValue extends StyleValue {
  /** The first character, and the one after the last. */
  readonly start: number;
  readonly end: number;
}

const LENGTH_KINDS: readonly (readonly [properties: RegExp, kind: TokenKind])[] = [
  [/^(?:padding|margin)(?:-\w+)?$|^(?:row-|column-)?gap$/, 'space'],
  [/^border-radius$/, 'radius'],
  [/^font(?:-size)?$/, 'text'],
];

/** The values of a declaration that can be tokens, in order: colours, lengths on a scale, and whole shadows. */
export function valuesIn([property, value]: Declaration): readonly FoundValue[] {
  return foundIn(`${property}:${value}`);
}

const foundIn = memoizeText((declaration): readonly FoundValue[] => {
  const colon = declaration.indexOf(':');
  const [property, value] = [declaration.slice(0, colon), declaration.slice(colon + 1)];
  if (property === 'box-shadow' || property === 'text-shadow')
    return [{ kind: 'shadow', value, start: 0, end: value.length }];
  return [...lengthsIn(property, value), ...familiesIn(property, value), ...coloursIn(value)].sort(
    (one, other) => one.start - other.start,
  );
});

/** The colours of any value. */
export function coloursIn(value: string): readonly FoundValue[] {
  if (!/#|rgb\(/.test(value)) return [];
  return nodesIn(
    value,
    (node) => node.type === 'Hash' || (node.type === 'Function' && node.name === 'rgb'),
  ).map((place) => ({ kind: 'colour', ...place }));
}

/** The families of a font: of the shorthand what stands after its sizes (CSS Fonts 4, §2.10). */
function familiesIn(property: string, value: string): readonly FoundValue[] {
  const before = property === 'font' ? /^.*?[\d.]+px\/[\d.]+(?:px)? /.exec(value)?.[0] : undefined;
  if (before === undefined) return [];
  const [start, end] = [before.length, value.length];
  return start < end ? [{ kind: 'font', value: value.slice(start), start, end }] : [];
}

function lengthsIn(property: string, value: string): readonly FoundValue[] {
  const kind = LENGTH_KINDS.find(([properties]) => properties.test(property))?.[1];
  if (!kind || !value.includes('px')) return [];
  const lengths = nodesIn(
    value,
    (node) => node.type === 'Dimension' && node.unit === 'px' && Number(node.value) > 0,
  );
  // The second length of a font is its line height.
  return (kind === 'text' ? lengths.slice(0, 1) : lengths).map((place) => ({ kind, ...place }));
}

/** The outermost nodes that pass a test. Calculations stay whole. */
function nodesIn(value: string, test: (node: cssTree.CssNode) => boolean): Omit<FoundValue, 'kind'>[] {
  const places: Omit<FoundValue, 'kind'>[] = [];
  cssTree.walk(cssTree.parse(value, { context: 'value', positions: true }), {
    enter(node: cssTree.CssNode) {
      if (node.loc && test(node)) {
        const [start, end] = [node.loc.start.offset, node.loc.end.offset];
        places.push({ value: value.slice(start, end), start, end });
      }
      const isWhole = node.type === 'Function' && !/gradient$/.test(node.name);
      return isWhole ? cssTree.walk.skip : undefined;
    },
  });
  return places;
}

/** The place of a declaration's colours. */
export function colourPlace(property: string, selector: string): ColourPlace {
  if (property === 'color') return 'letters';
  if (property === 'background') return selector === 'body' ? 'ground' : 'surface';
  return /^border|^outline/.test(property) ? 'line' : 'other';
}

/** The text that is written for a value; null for the value itself. */
export type TextFor = (value: StyleValue) => string | null;

/** A declaration with other texts for its values. */
export function withValues([property, value]: Declaration, textFor: TextFor): Declaration {
  return [property, replaceFound(value, valuesIn([property, value]), textFor)];
}

/** A text with other texts for the values that were found in it, in their order; null keeps one. */
export function replaceFound(text: string, found: readonly FoundValue[], textFor: TextFor): string {
  const parts: string[] = [];
  let kept = 0;
  for (const each of found) {
    const other = textFor(each);
    if (other === null) continue;
    parts.push(text.slice(kept, each.start), other);
    kept = each.end;
  }
  return parts.join('') + text.slice(kept);
}
