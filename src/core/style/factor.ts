import { isPlain, type Look } from '../look/look';
import type { LayerKey } from '../mockup/layer';
import { firstMade, rememberOf } from '../mockup/remember';
import { onNarrow } from '../page/join/narrow';
import { pageClass, WIDTH_CLASSES } from '../page/join/names';
import { stateMark } from '../page/states';
import {
  gathering,
  standingOf,
  type Layout,
  type Page,
  type PageNode,
  type Standing,
  type StateLook,
} from '../page/node';
import type { StandingCount, StyleClass, StyleSheet } from './styleSheet';

/** What a class is made of. */
type Parts = Pick<StyleClass, 'look' | 'layout' | 'states' | 'narrow'>;

interface Use extends Parts {
  /** How often each name asks for it; names that Orden made up count as none. */
  readonly names: Map<string, number>;
  /** The classes that a person gave to all of its wearers. */
  common: readonly string[];
  /** How its wearers stand, by what they say of it; null where letters or a page wear it, which stand nowhere. */
  standings: Map<string, Counted> | null;
}

interface Counted extends StandingCount {
  count: number;
}

/** Names that the base style sheet uses itself. */
const RESERVED = ['screen', 'run', 'flow', ...WIDTH_CLASSES];

/**
 * Gives every look one class, shared by all that look and are laid out alike, named after the layers that wear it.
 * @param samples classes that have a sample: they name its look
 * @param waiting layers that get none
 */
export function factorClasses(
  pages: readonly Page[],
  samples: ReadonlySet<string>,
  waiting: ReadonlySet<LayerKey> = new Set(),
): StyleSheet {
  const uses = new Map<string, Use>();
  const given = new Set<string>([...RESERVED, ...pages.filter((page) => page.narrow).map(pageClass)]);
  /** The looks that a person's classes are worn with. */
  const wearers = new Map<string, Set<string | null>>();
  const note = ({ mark, parts, standing, name, classes }: Wearer, count: number) => {
    for (const each of classes) {
      given.add(each);
      wearers.set(each, (wearers.get(each) ?? new Set()).add(mark));
    }
    if (mark === null) return;
    const use: Use = uses.get(mark) ?? {
      ...parts,
      names: new Map(),
      common: classes,
      standings: new Map(),
    };
    uses.set(mark, use);
    if (use.common.length > 0) use.common = use.common.filter((each) => classes.includes(each));
    if (!standing) use.standings = null;
    else if (use.standings) countStanding(use.standings, standing, count);
    if (name !== null) use.names.set(name, (use.names.get(name) ?? 0) + count);
  };
  const isWaiting = ({ layer, merged }: PageNode) =>
    waiting.has(layer) || merged?.some((each) => waiting.has(each)) === true;
  const counts = new Map<NodeWearer, number>();
  for (const page of pages)
    for (const { node, worn } of wornIn(page.children))
      if (waiting.size === 0 || !isWaiting(node)) counts.set(worn, (counts.get(worn) ?? 0) + 1);
  for (const [worn, count] of counts) {
    note(worn, count);
    for (const letters of worn.letters) note(letters, count);
  }
  for (const { ground, classes } of pages) {
    if (!ground || !classes) continue;
    note(bareWearer({ fills: [{ kind: 'solid', colour: ground }] }, classes), 1);
  }
  const known = new Map<string, StyleClass>();
  for (const [mark, { look, layout, states, narrow, names, common, standings }] of uses) {
    const said = common.find(
      (each) => samples.has(each) && wearers.get(each)?.size === 1 && !RESERVED.includes(each),
    );
    // A bare row or column that many different things share is not one of them.
    const isShared = isPlain(look) && names.size > 1;
    const own = (isShared ? null : commonest(names)) ?? describe(look, layout);
    const name = said ?? freeName(own, given);
    known.set(mark, { name, look, layout, standings: [...(standings?.values() ?? [])], states, narrow });
  }
  const roots = new Map<string, string[]>();
  for (const { name, look, states } of known.values()) {
    const own = states.filter((each) => each.within === null);
    if (own.length === 0) continue;
    const mark = stateMark(look, own);
    roots.set(mark, [...(roots.get(mark) ?? []), name]);
  }
  return {
    classes: [...known.values()],
    classFor: (look) => known.get(lookMark(look) ?? '')?.name ?? null,
    classesWithin: (within) => roots.get(within) ?? [],
    classOf: (node) => known.get(wearerOf(node).mark ?? '') ?? null,
  };
}

function partsOf(node: PageNode): Parts {
  return { look: node.look, layout: layoutOf(node), states: node.states ?? NONE, narrow: narrowOf(node) };
}

const NONE: readonly StateLook[] = [];

/** What differs on the narrow screen of a page for two; null for a node that is the same on both. */
function narrowOf(node: PageNode): Parts['narrow'] {
  const other = onNarrow(node);
  if (!other) return null;
  const [wide, narrow] = [node, other].map((each) => ({
    look: each.look,
    layout: layoutOf(each),
    standings: [{ standing: standingOf(each), count: 1 }],
  }));
  return JSON.stringify(narrow) === JSON.stringify(wide) ? null : narrow!;
}

function layoutOf(node: PageNode): Layout | null {
  return (node.kind === 'picture' ? null : node.layout) ?? null;
}

/** What a node, some letters or a page say of their class. */
interface Wearer {
  /** What makes two of them wear one class; null for what needs none. */
  readonly mark: string | null;
  readonly parts: Parts;
  /** Null for letters and pages. */
  readonly standing: StandingText | null;
  readonly name: string | null;
  /** The classes that a person gave. */
  readonly classes: readonly string[];
}

interface NodeWearer extends Wearer {
  /** The letters in it that look otherwise than the rest. */
  readonly letters: readonly Wearer[];
}

/** How a node stands, and the same as a text to compare it by. */
interface StandingText {
  readonly standing: Standing | null;
  readonly text: string;
}

function countStanding(
  counts: Map<string, Counted>,
  { standing, text }: StandingText,
  wearers: number,
): void {
  const known = counts.get(text);
  if (known) known.count += wearers;
  else counts.set(text, { standing, count: wearers });
}

/** An edit leaves most nodes as they are, and most say what others say: both are told by identity. */
const wearerOf = rememberOf((node: PageNode): NodeWearer => {
  const own = standingOf(node);
  const standing = { standing: own, text: own ? JSON.stringify(own) : '' };
  const [mark, name] = [markOf(node, standing), nameOf(node)];
  const letters = lettersOf(node).map((look) => bareWearer(look, []));
  const { classes } = node;
  const said = JSON.stringify([mark, standing.text, name, classes, letters.map((each) => each.mark)]);
  return firstWearer(said, () => ({ mark, parts: partsOf(node), standing, name, classes, letters }));
});

const firstWearer = firstMade<NodeWearer>();

const wornIn = gathering((node) => [{ node, worn: wearerOf(node) }]);

function lettersOf(node: PageNode): readonly Look[] {
  return node.kind === 'text' ? node.lines.flatMap(({ spans }) => spans.map(({ look }) => look)) : [];
}

function bareWearer(look: Look, classes: readonly string[]): Wearer {
  const parts = { look, layout: null, states: NONE, narrow: null };
  return { mark: lookMark(look), parts, standing: null, name: null, classes };
}

function markOf(node: PageNode, { standing, text }: StandingText): string | null {
  const { look, layout, states, narrow } = partsOf(node);
  // What differs between two screens is said by the class as a whole: an attribute knows no screens.
  if (narrow) return JSON.stringify([look, layout, states, standing, narrow]);
  const mark = lookMark(look, layout, states);
  if (mark !== null) return mark;
  // What has nothing else to say shares a class with what stands alike.
  return standing && `standing ${text}`;
}

function lookMark(
  look: Look,
  layout: Layout | null = null,
  states: readonly StateLook[] = NONE,
): string | null {
  if (isPlain(look) && !layout && states.length === 0) return null;
  if (!layout && states.length === 0) return lookText(look);
  return `${lookText(look)} ${JSON.stringify([layout, states])}`;
}

/** An edit gives few nodes another look, and many another place. */
const lookText = rememberOf((look: Look) => JSON.stringify(look));

/** A layer's own name without its number, else what it is to the page. */
function nameOf({ named, name, role }: PageNode): string | null {
  if (named) return withoutNumber(name);
  return role === 'box' || role === 'text' || role === 'picture' ? null : role;
}

/** `row-3` and `row-4` look alike as `row`. */
function withoutNumber(name: string): string {
  return name.replace(/(?:-\d+)+$/, '') || name;
}

function commonest(names: ReadonlyMap<string, number>): string | null {
  let best: string | null = null;
  for (const [name, count] of names) if (best === null || count > (names.get(best) ?? 0)) best = name;
  return best;
}

/** A name from what the look is, for looks that no named layer wears. */
function describe(look: Look, layout: Layout | null): string {
  const { type } = look;
  if (type) {
    const weight = type.weight >= 600 ? '-bold' : type.weight < 400 ? '-light' : '';
    return `text-${Math.round(type.size)}${weight}`;
  }
  if (look.fills?.some((fill) => fill.kind !== 'solid')) return 'gradient';
  if (look.fills) return look.radii ? 'rounded' : 'fill';
  if (look.border) return 'frame';
  if (look.clip) return 'window';
  if (look.opacity !== undefined) return 'faded';
  if (!isPlain(look)) return 'effect';
  return layout?.direction ?? 'placed';
}

function freeName(wanted: string, given: Set<string>): string {
  let name = wanted;
  for (let count = 2; given.has(name); count++) name = `${wanted}-${count}`;
  given.add(name);
  return name;
}
