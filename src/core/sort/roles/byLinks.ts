import { boxForm } from '../../look/boxForm';
import { wordsOf } from '../../look/layerTitle';
import { bottom, type Box } from '../../mockup/box';
import type { GroupLayer, Layer, TextLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import { byLook } from './byLook';
import { namedRole } from './byName';
import { isButton, isListElement } from '../vocabulary';
import type { RoleRule } from './roleRule';

/**
 * Common practice, no source: a navigation has at least this many short words, each with at most so many
 * letters.
 */
const FEWEST = 3;
const LETTERS = 24;

/** The most groups in a navigation that are no words: a logo, a button. */
const MOST_OTHERS = 2;
/** The most boxes of a word: a background, an underline. */
const MOST_BOXES = 2;

/**
 * Short words in a row inside the page's header or footer or at its top, or links anywhere, are navigation. A
 * row of words inside a navigation is a list, and the words of both are links.
 */
export const byLinks: RoleRule = (layer, outcome, facts, around) => {
  const { parent, elements } = around;
  if (outcome === 'element' && layer.kind === 'text' && parent === 'nav' && isShort(layer))
    return { role: 'link', reason: 'a word in a navigation' };
  if (outcome !== 'element' || layer.kind !== 'group') return null;
  const inNavigation = elements.includes('nav');
  if (inNavigation && (parent === 'nav' || isListElement(parent)) && isWord(layer))
    return { role: 'link', reason: 'one of a row of words' };
  const words = wordsIn(layer);
  if (words.length < FEWEST) return null;
  if (inNavigation)
    return elements.some(isListElement) || words.length < layer.layers.length
      ? null
      : { role: 'list', reason: `${words.length} words to choose from` };
  const isPressed = (part: Layer) =>
    isButton(namedRole(part) ?? 'box') || byLook(part, outcome, facts, around) !== null;
  if (!isRow(words, facts) || words.some(isPressed)) return null;
  const linked = words.every((part) => part.hints.href !== undefined);
  const furniture = elements.includes('header') || elements.includes('footer');
  return furniture || linked || isAtTop(layer, facts)
    ? { role: 'navigation', reason: `${words.length} ${linked ? 'links' : 'short words'} in a row` }
    : null;
};

/** Common practice, no source: the top of a page, as a share of its height and in px. */
const TOP_SHARE = 0.12;
const TOP_PX = 130;

function isAtTop({ id }: GroupLayer, facts: Facts): boolean {
  const { painted } = measureOf(facts, id);
  return painted !== null && bottom(painted) <= Math.min(TOP_PX, TOP_SHARE * facts.screen.height);
}

/** The groups of words, when nearly all groups are words. */
function wordsIn(group: GroupLayer): readonly Layer[] {
  const groups = group.layers.filter((part) => part.kind === 'group' && part.visible);
  const words = groups.filter(isWord);
  const plain = group.layers.every((part) => part.kind === 'group' || isBox(part));
  return plain && groups.length - words.length <= MOST_OTHERS ? words : [];
}

function isRow(words: readonly Layer[], facts: Facts): boolean {
  const boxes = words.flatMap(({ id }) => measureOf(facts, id).painted ?? []);
  const [first] = boxes;
  return boxes.length === words.length && first !== undefined && boxes.every((box) => isBeside(first, box));
}

function isBeside(one: Box, other: Box): boolean {
  return other.y < bottom(one) && one.y < bottom(other);
}

/** A group of one short text and boxes that highlight it. */
function isWord(layer: Layer): boolean {
  const leaves = walk(layer).filter((part) => part.kind !== 'group');
  const [text, ...more] = leaves.filter((part) => part.kind === 'text');
  const others = leaves.filter((part) => part.kind !== 'text');
  return (
    text !== undefined &&
    more.length === 0 &&
    isShort(text) &&
    others.length <= MOST_BOXES &&
    others.every(isBox)
  );
}

function isBox(layer: Layer): boolean {
  return layer.kind === 'shape' && boxForm(layer)?.kind === 'box';
}

function isShort(text: TextLayer): boolean {
  const letters = wordsOf(text);
  return letters.length <= LETTERS && /\p{L}{2}/u.test(letters);
}
