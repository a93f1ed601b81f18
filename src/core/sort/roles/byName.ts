import { area, intersection } from '../../mockup/box';
import { namesInPath } from '../../mockup/identity';
import type { GroupLayer, Layer } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import { memoizeByObject } from '../../mockup/memoize';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import { nameWords } from '../nameWords';
import { isBesideMain, isListElement, ROLE_NAMES, roleEntry, type Role } from '../vocabulary';
import { headingLevel } from './byTextSize';
import type { RoleRule, RoleVerdict } from './roleRule';

const WORDS: ReadonlyMap<string, Role> = new Map(
  ROLE_NAMES.flatMap((role) => (roleEntry(role).words ?? []).map((word) => [word, role] as const)),
);

/** Words for a part of a thing: the body of a card is no card. */
const PART_WORDS: ReadonlySet<string> = new Set(
  'body subtitle meta inner outer wrapper wrap container holder row rows col column columns grid area block panel pane title titles heading headline caption label labels text texts icon icons image picture photo badge avatar addon cell td th count value state status toolbar tools control group set side left right top bottom background backdrop shadow border'.split(
    ' ',
  ),
);

/** The share of a screen and of its words from which a group is most of it. */
const MOST = 0.6;

/** Words for headings. */
const TITLES: ReadonlySet<string> = new Set(['title', 'heading', 'headline']);

/**
 * The role in a group's name, by its last meaningful word: "main navigation" is navigation, "card body" is no
 * card.
 */
export const byName: RoleRule = (layer, outcome, facts, { parent }) => {
  if (outcome !== 'element' || layer.kind !== 'group' || layer.sourceName === null) return null;
  const words = ownWords(layer);
  const plain = words.filter(isNoNumber);
  if (plain.length === 1 && plain[0] === 'a') return { role: 'link', reason: 'its name says "a"' };
  const heading = words.find((word) => /^h[1-6]$/.test(word));
  if (heading && isOneTitle(layer))
    return { role: `heading-${heading.slice(1)}` as Role, reason: `its name says "${heading}"` };
  const word = tellingWord(words);
  if (word !== undefined && TITLES.has(word) && isOneTitle(layer)) return titleRole(layer, word, facts);
  const role = word === undefined ? undefined : WORDS.get(word);
  // What stands beside the main region is not most of a screen.
  if (role !== undefined && isBesideMain(role) && isMostOfScreen(layer, facts)) return null;
  if (role !== undefined && isBesideMain(role) && isBare(layer, facts)) return null;
  // Who chooses sees what is chosen, and nothing else is pressed there.
  if (role === 'select' && (facts.contents(layer).texts === 0 || walk(layer).some(isLinkOrButton)))
    return null;
  // A navigation has several words, and so has a form: one field alone is none.
  if ((role === 'navigation' || role === 'form') && facts.contents(layer).texts < 2) return null;
  // An item stands in a list, and a paragraph holds only text.
  if (!role || (role === 'item' && !isListElement(parent)) || (role === 'paragraph' && !isOfTexts(layer)))
    return null;
  return { role, reason: `its name says "${word}"` };
};

/** True for a group around most of what the screen shows, as a class of the whole page has: "with sidebar". */
function isMostOfScreen(group: GroupLayer, facts: Facts): boolean {
  const { screen } = facts;
  const box = measureOf(facts, group.id).painted;
  const seen = box && intersection(box, { x: 0, y: 0, width: screen.width, height: screen.height });
  if (!seen || area(seen) < MOST * screen.width * screen.height) return false;
  return facts.contents(group).texts >= MOST * facts.contents(screen.root).texts;
}

/** True for a single shape, such as the line between two parts of a region: a sidebar divider is no side bar. */
function isBare(group: GroupLayer, facts: Facts): boolean {
  const { texts, shapes, bitmaps } = facts.contents(group);
  return texts + bitmaps === 0 && shapes <= 1;
}

function isLinkOrButton({ hints }: Layer): boolean {
  return hints.href !== undefined || hints.role === 'button' || hints.role === 'link';
}

/** The role that the name alone suggests. */
export function namedRole(layer: Layer): Role | undefined {
  return WORDS.get(tellingWord(ownWords(layer)) ?? '');
}

/**
 * The words of a layer's name that are not repeated from a group around: in `ticket` the layer `ticket foot`
 * is a foot and no ticket (common practice of naming, no source).
 */
const ownWords = memoizeByObject(({ path, sourceName }: Layer): readonly string[] => {
  const words = nameWords(splitName(sourceName ?? '').bare);
  if (words.length < 2) return words;
  const around = namesInPath(path)
    .slice(0, -1)
    .map((name) => nameWords(name).filter(isNoNumber));
  const lengths = around
    .filter((names) => names.every((name, at) => name === words[at]))
    .map(({ length }) => length);
  const shared = Math.max(0, ...lengths);
  return words.slice(shared).some(isNoNumber) ? words.slice(shared) : words;
});

function isNoNumber(word: string): boolean {
  return !/^\d+$/.test(word);
}

function tellingWord(words: readonly string[]): string | undefined {
  return words.findLast((word) => WORDS.has(word) || PART_WORDS.has(word));
}

/** A heading has the level of its size; one no larger than the body is below all larger ones. */
function titleRole(layer: GroupLayer, word: string, facts: Facts): RoleVerdict {
  const levels = walk(layer).flatMap((text) =>
    text.kind === 'text' ? (headingLevel(text, facts) ?? []) : [],
  );
  const level = levels.length > 0 ? Math.min(...levels) : Math.min(6, facts.headingSizes.length + 1);
  return { role: `heading-${level}` as Role, reason: `its name says "${word}"` };
}

/** A group with a heading among its parts is no heading itself. */
function isOneTitle(group: Layer): boolean {
  const parts = walk(group).filter((layer) => layer !== group && layer.kind === 'group');
  return isOfTexts(group) && !parts.some((part) => nameWords(part.sourceName ?? '').some(isTitleWord));
}

function isTitleWord(word: string): boolean {
  return /^h[1-6]$/.test(word) || TITLES.has(word);
}

function isOfTexts(group: Layer): boolean {
  return walk(group).every((layer) => layer.kind === 'group' || layer.kind === 'text');
}
