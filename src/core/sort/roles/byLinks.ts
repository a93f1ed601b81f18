import { wordsOf } from '../../look/layerTitle';
import { bottom, type Box } from '../../mockup/box';
import type { GroupLayer, Layer, TextLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import type { RoleRule } from './roleRule';

/** Common practice, no source: so many short words in a row lead somewhere, each this long at most. */
const FEWEST = 3;
const LETTERS = 24;

/** Short words in a row inside the page's header or footer or at its top, or links wherever they stand, are navigation. */
export const byLinks: RoleRule = (layer, outcome, facts, { parent, elements }) => {
  if (outcome !== 'element' || layer.kind !== 'group') return null;
  const furniture = elements.includes('header') || elements.includes('footer');
  if (furniture && parent === 'nav' && isWord(layer))
    return { role: 'link', reason: 'one of a row of words' };
  if (elements.includes('nav') || !isRow(layer, facts)) return null;
  const atTop = isAtTop(layer, facts);
  const linked = layer.layers.every((part) => part.hints.href !== undefined);
  return furniture || linked || atTop
    ? { role: 'navigation', reason: `${layer.layers.length} ${linked ? 'links' : 'short words'} in a row` }
    : null;
};

/** Common practice, no source: the first thing on a page, within so much of its height and px. */
const TOP_SHARE = 0.12;
const TOP_PX = 130;

function isAtTop({ key }: GroupLayer, facts: Facts): boolean {
  const { painted } = measureOf(facts, key);
  return painted !== null && bottom(painted) <= Math.min(TOP_PX, TOP_SHARE * facts.screen.height);
}

function isRow(group: GroupLayer, facts: Facts): boolean {
  const parts = group.layers;
  if (parts.length < FEWEST || !parts.every((part) => part.kind === 'group' && part.visible && isWord(part)))
    return false;
  const boxes = parts.flatMap(({ key }) => measureOf(facts, key).painted ?? []);
  const [first] = boxes;
  return boxes.length === parts.length && first !== undefined && boxes.every((box) => isBeside(first, box));
}

function isBeside(one: Box, other: Box): boolean {
  return other.y < bottom(one) && one.y < bottom(other);
}

/** A group of one short text and nothing else. */
function isWord(layer: Layer): boolean {
  const leaves = [...walk(layer)].filter((part) => part.kind !== 'group');
  const [only] = leaves;
  return leaves.length === 1 && only?.kind === 'text' && isShort(only);
}

function isShort(text: TextLayer): boolean {
  const letters = wordsOf(text);
  return letters.length <= LETTERS && /\p{L}{2}/u.test(letters);
}
