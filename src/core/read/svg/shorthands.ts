import * as cssTree from 'css-tree';
import type { Property } from './properties';

/** The longhands that a shorthand stands for; empty when `name` is no shorthand that drawings use. */
export function expandShorthand(name: string, value: string): [Property, string][] {
  if (name === 'marker') {
    return [
      ['marker-start', value],
      ['marker-mid', value],
      ['marker-end', value],
    ];
  }
  if (name === 'text-decoration-line') return [['text-decoration', value]];
  return name === 'font' ? expandFont(value) : [];
}

const SIZE_WORDS = /^(?:(?:xx?-)?(?:small|large)|xxx-large|medium|smaller|larger)$/i;
const ANGLES = /^(?:deg|grad|rad|turn)$/i;
const STRETCHES = /^(?:(?:ultra-|extra-|semi-)?(?:condensed|expanded))$/i;
const WIDE = /^(?:inherit|initial|unset|revert|revert-layer)$/i;
const LONGHANDS = [
  'font-variant',
  'font-style',
  'font-stretch',
  'font-weight',
  'font-size',
  'font-family',
] as const;

/** Style, variant, weight and stretch in any order, then size, line height and families (CSS Fonts 4, §2.7). */
function expandFont(value: string): [Property, string][] {
  if (WIDE.test(value.trim())) return LONGHANDS.map((name) => [name, value.trim()]);
  const tree = cssTree.parse(value, { context: 'value', onParseError: () => undefined });
  const parts = tree.type === 'Value' ? tree.children.toArray() : [];
  const at = parts.findIndex(isSize);
  const size = parts[at];
  if (!size) return [];
  const words = parts.slice(0, at).map((part) => cssTree.generate(part).toLowerCase());
  const rest = parts.slice(at + 1);
  const [slash] = rest;
  const families = slash?.type === 'Operator' && slash.value === '/' ? rest.slice(2) : rest;
  if (families.length === 0) return [];
  return [
    ['font-variant', words.includes('small-caps') ? 'small-caps' : 'normal'],
    ['font-style', words.find((word) => word === 'italic' || word === 'oblique') ?? 'normal'],
    ['font-stretch', words.find((word) => STRETCHES.test(word)) ?? 'normal'],
    ['font-weight', words.find((word) => /^(?:bold|bolder|lighter|\d{1,4}(?:\.\d+)?)$/.test(word)) ?? '400'],
    ['font-size', cssTree.generate(size)],
    ['font-family', printFamilies(families)],
  ];
}

function isSize(part: cssTree.CssNode): boolean {
  if (part.type === 'Dimension') return !ANGLES.test(part.unit);
  if (part.type === 'Identifier') return SIZE_WORDS.test(part.name);
  return part.type === 'Percentage' || part.type === 'Function';
}

/** Words of one name stay apart by a space. */
function printFamilies(parts: readonly cssTree.CssNode[]): string {
  const names: string[][] = [[]];
  for (const part of parts) {
    if (part.type === 'Operator') names.push([]);
    else names.at(-1)?.push(cssTree.generate(part));
  }
  return names.map((words) => words.join(' ')).join(', ');
}
