import equal from 'fast-deep-equal';
import { boxAround, followEachOther } from '../../../mockup/box';
import { isListRole } from '../../../sort/vocabulary';
import { anonymousBox } from '../../anonymousBox';
import { mapBoxes, withChildren } from '../../mapBoxes';
import { nodeWords, type BoxNode, type PageNode, type TextNode } from '../../node';
import type { Page } from '../../frame';
import { isWholeDescriptionList } from '../../descriptionParts';
import { placedBox } from '../../placed';
import { BY_HAND } from '../../tolerances';
import { leavesOf } from '../../walk';
import { asPart } from './asPart';

/** Fewer rows of a name and a value are no list (common practice, no source). */
const FEWEST = 3;
/** Letters of a name (common practice, no source). */
const LONGEST_TERM = 40;

/**
 * Rows below each other that each hold a name and its value are a description list (HTML, §4.4.9): the names look alike,
 * and otherwise than the values, or end with a colon. Places are px of the screen.
 */
export function findDescriptionLists(page: Page): Page {
  return { ...page, children: page.children.map(within) };
}

const within = mapBoxes((box: BoxNode): PageNode =>
  withDescriptionLists(withChildren(box, box.children.map(within))),
);

/** A name and what is said of it. */
interface Pair {
  readonly row: BoxNode;
  readonly term: PageNode;
  readonly value: PageNode;
  readonly name: TextNode;
  readonly words: TextNode;
}

/** A box whose rows are the list, or with the list around those of its rows that follow each other. */
function withDescriptionLists(box: BoxNode): BoxNode {
  const pairs = box.children.map(pairOf);
  const runs = runsOf(pairs).filter(isDescriptionList);
  const [first] = runs;
  // What holds terms with their descriptions is their list, whatever it is called.
  if (isFree(box) && isWholeDescriptionList(box)) return { ...box, role: 'description-list' };
  if (!first || isPartOfOther(box)) return box;
  if (first.length === box.children.length && isFree(box))
    return { ...box, role: 'description-list', children: first.map(rowOf) };
  const heads = new Map(runs.map((run) => [run[0]!.row as PageNode, run]));
  const inRuns = new Set(runs.flatMap((run) => run.map(({ row }) => row as PageNode)));
  const children = box.children.flatMap((child): readonly PageNode[] => {
    const run = heads.get(child);
    return run ? [listAround(run, box)] : inRuns.has(child) ? [] : [child];
  });
  return { ...box, children };
}

/** True for a box that may become the list itself. */
function isFree({ role, roleSaid }: BoxNode): boolean {
  return !roleSaid && (role === 'box' || isListRole(role));
}

/** True for what holds items or rows and nothing else. */
function isPartOfOther({ role, roleSaid, layoutOverride }: BoxNode): boolean {
  const holdsParts = role === 'table' || role === 'row' || (isListRole(role) && roleSaid === true);
  return holdsParts || layoutOverride?.contents !== undefined;
}

function listAround(run: readonly Pair[], { layer }: BoxNode): BoxNode {
  const around = boxAround(run.map(({ row }) => placedBox(row.place)));
  return { ...anonymousBox('details', layer, around), role: 'description-list', children: run.map(rowOf) };
}

/** Neighbours that are pairs. */
function runsOf(pairs: readonly (Pair | null)[]): readonly (readonly Pair[])[] {
  const runs: Pair[][] = [[]];
  for (const pair of pairs) {
    if (pair) runs.at(-1)!.push(pair);
    else runs.push([]);
  }
  return runs;
}

function isDescriptionList(run: readonly Pair[]): boolean {
  const rows = run.map(({ row }) => placedBox(row.place));
  return run.length >= FEWEST && areNamed(run) && followEachOther(rows, 'y', BY_HAND.place);
}

function pairOf(row: PageNode): Pair | null {
  if (row.kind !== 'box' || (row.role !== 'box' && row.role !== 'item') || row.roleSaid) return null;
  if (row.href !== undefined || row.hidden || row.states || row.place.linear || row.children.length !== 2)
    return null;
  const [term, value] = row.children.toSorted((one, other) => one.place.x - other.place.x);
  const [name, words] = [onlyText(term!), onlyText(value!)];
  if (!name || !words || name.lines.length > 1 || nodeWords(name).length > LONGEST_TERM) return null;
  const areBeside = followEachOther([placedBox(term!.place), placedBox(value!.place)], 'x', BY_HAND.overlap);
  return areBeside ? { row, term: term!, value: value!, name, words } : null;
}

/** The text that is all of a node; null where it is more, or pressed. */
function onlyText(node: PageNode): TextNode | null {
  const [text, ...more] = leavesOf(node);
  return text?.kind === 'text' && more.length === 0 && node.href === undefined ? text : null;
}

function areNamed(pairs: readonly Pair[]): boolean {
  const [first] = pairs;
  if (!first || !/\p{L}/u.test(nodeWords(first.name))) return false;
  const isOneType = pairs.every(({ name }) => equal(name.look.type, first.name.look.type));
  const endWithColon = pairs.every(({ name }) => /[:：]$/u.test(nodeWords(name).trim()));
  return isOneType && (endWithColon || pairs.every(({ name, words }) => !looksAlike(name, words)));
}

function looksAlike({ look: { type: one } }: TextNode, { look: { type: other } }: TextNode): boolean {
  return equal(one?.colour, other?.colour) && one?.weight === other?.weight && one?.size === other?.size;
}

/** Groups of a description list are plain boxes. */
function rowOf({ row, term }: Pair): BoxNode {
  return {
    ...row,
    role: 'box',
    children: row.children.map((child) => asPart(child, child === term ? 'term' : 'description')),
  };
}
