import type { Look } from '../look/look';
import { flatMap } from '../mockup/flatMap';
import type { LayerId } from '../mockup/layer';
import { internByText, memoizeByObject, memoizeLast } from '../mockup/memoize';
import { pageClass, WIDTH_CLASSES } from '../page/join/names';
import { sharedPlacementOf, type SharedPlacement } from '../page/sharedPlacement';
import type { Page } from '../page/frame';
import type { PageNode, ThemeLook } from '../page/node';
import { ownName } from '../sort/tellingNames';
import { classNameFor, nameClassOf, ownerInside, partOf, thingOf, type NamedUsers } from './classNames';
import { wordsOfClasses } from './classWords';
import { lookKey, NO_THEMES, NONE, partsOf, type Parts } from './classKey';
import { besideLookClass, lookClasses, wornLook, type SampleKind, type SampledClasses } from './lookClasses';
import { NOTHING_SAID, type SaidValues } from './tokens/token';
import type { PlacementCount, StyleClass, StyleSheet } from './styleSheet';

interface ClassDraft extends Parts, NamedUsers {
  readonly names: Map<string, number>;
  readonly owners: Map<string, number>;
  readonly parts: Map<string, number>;
  count: number;
  /** The name that a person gave to its look; null for none. */
  lookName: string | null;
  /** The classes that a person gave to all of its users. */
  common: readonly string[];
  /** The placements of its users by their text; null for letters and pages, which have none. */
  placements: Map<string, CountedPlacement> | null;
}

interface CountedPlacement extends PlacementCount {
  count: number;
}

/** Names that the base style sheet uses. */
const RESERVED = ['screen', 'run', 'flow', ...WIDTH_CLASSES];

/**
 * Gives every look one class, shared by all nodes with equal look and layout, named after the layers that use
 * it.
 * @param samples classes that have a sample: they name its look
 * @param waiting layers that get no class yet, since their next change is on its way
 * @param themes the themes that are written
 * @param values what a person said of values
 */
export function factorClasses(
  pages: readonly Page[],
  samples: SampledClasses,
  waiting: ReadonlySet<LayerId> = new Set(),
  themes: readonly string[] = [],
  values: SaidValues = NOTHING_SAID,
): StyleSheet {
  const uses = new Map<string, ClassDraft>();
  const given = new Set<string>([...RESERVED, ...pages.filter((page) => page.narrow).map(pageClass)]);
  const layerNames = new Set<string>();
  /** The looks that occur with each of a person's classes. */
  const wearers = new Map<string, Set<string | null>>();
  const note = (
    { mark, parts, placement, name, part, classes, lookName }: ClassUser,
    owner: string | null,
    count: number,
  ) => {
    for (const each of classes) {
      given.add(each);
      wearers.set(each, (wearers.get(each) ?? new Set()).add(mark));
    }
    if (name !== null) layerNames.add(name);
    if (mark === null) return;
    const use: ClassDraft = uses.get(mark) ?? {
      ...parts,
      names: new Map(),
      owners: new Map(),
      parts: new Map(),
      count: 0,
      lookName: null,
      common: classes,
      placements: new Map(),
    };
    uses.set(mark, use);
    use.count += count;
    use.lookName ??= lookName;
    if (use.common.length > 0) use.common = use.common.filter((each) => classes.includes(each));
    if (!placement) use.placements = null;
    else if (use.placements) countPlacement(use.placements, placement, count);
    countName(use.names, name, count);
    countName(use.owners, owner, count);
    countName(use.parts, part, count);
  };
  const looks = lookClasses(pages, samples, RESERVED);
  const useOf = (node: PageNode) => {
    const worn = wornLook(node, looks);
    return worn === null ? classUseOf(node) : USE_BESIDE[worn](node);
  };
  const counts = new Map<OwnedUse, number>();
  for (const page of pages)
    for (const worn of waiting.size + looks.size === 0
      ? flatMap(page.children, (node) => usesIn(node, null))
      : usesBeside(page.children, null, waiting, useOf))
      counts.set(worn, (counts.get(worn) ?? 0) + 1);
  for (const [{ use, owner }, count] of counts) {
    note(use, owner, count);
    for (const letters of use.letters) note(letters, use.name ?? owner, count);
  }
  for (const { ground, classes, themes: looks = NO_THEMES } of pages) {
    if (!ground || !classes) continue;
    note(plainUser({ fills: [{ kind: 'solid', colour: ground }] }, classes, looks), null, 1);
  }
  const wordsOf = wordsOfClasses(pages, (node) => useOf(node).mark);
  const known = new Map<string, StyleClass>();
  for (const [name, { variants }] of looks)
    for (const { within, look, states, themes: own } of variants)
      known.set(`class ${name} in ${within.join(' ')}`, {
        name,
        within,
        thing: null,
        look,
        states,
        themes: own,
        layout: null,
        placements: [],
        narrow: null,
      });
  /** A class that a person gave holds the look, when all its wearers have the same one. */
  const holdsOneLook = (name: string) =>
    wearers.get(name)?.size === 1 && !RESERVED.includes(name) && !looks.has(name);
  for (const [mark, draft] of uses) {
    const { look, layout, states, themes: looks, narrow, common, placements } = draft;
    const said = common.find((each) => samples.has(each) && holdsOneLook(each)) ?? common.find(holdsOneLook);
    const name =
      nameSaid(draft.lookName, given) ?? said ?? classNameFor(draft, given, layerNames, () => wordsOf(mark));
    const counted = [...(placements?.values() ?? [])];
    known.set(mark, {
      name,
      within: [],
      thing: thingOf(draft),
      look,
      layout,
      placements: counted,
      states,
      themes: looks,
      narrow,
    });
  }
  const roots = new Map<string, string[]>();
  for (const { name, states } of known.values()) {
    const control = states.find(({ isControl }) => isControl)?.control;
    if (control !== undefined) roots.set(control, [...(roots.get(control) ?? []), name]);
  }
  return {
    classes: [...known.values()],
    themes,
    values,
    nameClassOf: (node) => nameClassOf(node, given, known.get(useOf(node).mark ?? '')?.name),
    classFor: (look) => known.get(lookKey(look) ?? '')?.name ?? null,
    classesOfControl: (control) => roots.get(control) ?? [],
    classOf: (node) => known.get(useOf(node).mark ?? '') ?? null,
  };
}

/** The name that a person gave to a look, where no other class has it. */
function nameSaid(name: string | null, given: Set<string>): string | null {
  if (name === null || given.has(name)) return null;
  given.add(name);
  return name;
}

/** What a node, a span or a page contributes to its class. */
interface ClassUser {
  /** Users with equal keys share a class; null needs none. */
  readonly mark: string | null;
  readonly parts: Parts;
  /** Null for letters and pages. */
  readonly placement: PlacementText | null;
  /** Its own name; null for none that says something. */
  readonly name: string | null;
  /** What it is to its owner by its role; null for none. */
  readonly part: string | null;
  /** The classes that a person gave. */
  readonly classes: readonly string[];
  /** The name that a person gave to its look; null for none. */
  readonly lookName: string | null;
}

interface NodeClassUse extends ClassUser {
  /** The spans with a look of their own. */
  readonly letters: readonly ClassUser[];
}

/** A node's placement, and its text for comparison. */
interface PlacementText {
  readonly placement: SharedPlacement | null;
  readonly text: string;
}

function countName(counts: Map<string, number>, name: string | null, users: number): void {
  if (name !== null) counts.set(name, (counts.get(name) ?? 0) + users);
}

function countPlacement(
  counts: Map<string, CountedPlacement>,
  { placement, text }: PlacementText,
  wearers: number,
): void {
  const known = counts.get(text);
  if (known) known.count += wearers;
  else counts.set(text, { placement, count: wearers });
}

/** Unchanged nodes are compared by identity, and equal uses are interned. */
const classUseOf = memoizeByObject((node: PageNode): NodeClassUse => {
  const own = sharedPlacementOf(node);
  const placement = { placement: own, text: own ? JSON.stringify(own) : '' };
  const [mark, name] = [classKeyOf(node, placement), ownName(node)];
  const letters = lettersOf(node).map((look) => plainUser(look, []));
  const { classes, lookName = null } = node;
  const [parts, part] = [partsOf(node), partOf(node)];
  const said = JSON.stringify([
    mark,
    placement.text,
    name,
    part,
    classes,
    lookName,
    letters.map((each) => each.mark),
  ]);
  return internUser(said, () => ({ mark, parts, placement, name, part, classes, lookName, letters }));
});

const internUser = internByText<NodeClassUse>();

/** A use, and the name of the thing that it is a part of. */
interface OwnedUse {
  readonly use: NodeClassUse;
  readonly owner: string | null;
}

/** One object for a use with owners of one name, so that users can be counted. */
const internOwned = memoizeByObject((use: NodeClassUse) => {
  const byOwner = new Map<string | null, OwnedUse>();
  return (owner: string | null): OwnedUse => {
    const owned = byOwner.get(owner) ?? { use, owner };
    byOwner.set(owner, owned);
    return owned;
  };
});

const usesBelow = memoizeLast<PageNode, readonly OwnedUse[]>();

/** The uses of a node and of those inside of it. */
function usesIn(node: PageNode, owner: string | null): readonly OwnedUse[] {
  return usesBelow(node, [owner], () => {
    const own = internOwned(classUseOf(node))(owner);
    if (node.kind !== 'box') return [own];
    const inside = ownerInside(node, owner);
    return [own, ...flatMap(node.children, (child) => usesIn(child, inside))];
  });
}

/** The same without the nodes of waiting layers, and what is inside of them. */
function usesBeside(
  nodes: readonly PageNode[],
  owner: string | null,
  waiting: ReadonlySet<LayerId>,
  useOf: (node: PageNode) => NodeClassUse,
): readonly OwnedUse[] {
  return nodes.flatMap((node) => {
    if ([node.layer, ...(node.merged ?? [])].some((layer) => waiting.has(layer))) return [];
    const own = internOwned(useOf(node))(owner);
    if (node.kind !== 'box') return [own];
    return [own, ...usesBeside(node.children, ownerInside(node, owner), waiting, useOf)];
  });
}

/** The use of a node whose look another class holds: what is left is its layout. */
const USE_BESIDE = { shape: useBeside('shape'), text: useBeside('text') } as const;

function useBeside(kind: SampleKind): (node: PageNode) => NodeClassUse {
  return memoizeByObject((node: PageNode) => ({
    ...classUseOf(besideLookClass(node, kind)),
    letters: classUseOf(node).letters,
  }));
}

function lettersOf(node: PageNode): readonly Look[] {
  return node.kind === 'text' ? node.lines.flatMap(({ spans }) => spans.map(({ look }) => look)) : [];
}

function plainUser(
  look: Look,
  classes: readonly string[],
  themes: readonly ThemeLook[] = NO_THEMES,
): ClassUser {
  const parts = { look, layout: null, states: NONE, themes, narrow: null };
  return {
    mark: lookKey(look, null, NONE, themes),
    parts,
    placement: null,
    name: null,
    part: null,
    classes,
    lookName: null,
  };
}

function classKeyOf(node: PageNode, { placement, text }: PlacementText): string | null {
  const { look, layout, states, themes, narrow } = partsOf(node);
  // Differences between two screens belong to the class: a style attribute has no media query.
  if (narrow) return JSON.stringify([look, layout, states, placement, narrow, themes]);
  const mark = lookKey(look, layout, states, themes);
  if (mark !== null) return mark;
  // A node with nothing but a placement shares a class with equal placements.
  return placement && `placement ${text}`;
}
