import { roleEntry } from '../sort/vocabulary';
import { isPlain, type Look } from '../look/look';
import type { LayerId } from '../mockup/layer';
import { internByText, memoizeByObject } from '../mockup/memoize';
import { pageClass, WIDTH_CLASSES } from '../page/join/names';
import { collectFromNodes } from '../page/walk';
import { sharedPlacementOf, type SharedPlacement } from '../page/sharedPlacement';
import type { Layout } from '../page/layout';
import type { Page } from '../page/frame';
import type { PageNode, ThemeLook } from '../page/node';
import { lookKey, NO_THEMES, NONE, partsOf, type Parts } from './classKey';
import { besideLookClass, lookClasses, wornLook, type SampleKind, type SampleKinds } from './lookClasses';
import type { PlacementCount, StyleClass, StyleSheet } from './styleSheet';

interface ClassDraft extends Parts {
  /** How often each name occurs among its users; invented names count as none. */
  readonly names: Map<string, number>;
  /** The number of its users. */
  count: number;
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
 */
export function factorClasses(
  pages: readonly Page[],
  samples: SampleKinds,
  waiting: ReadonlySet<LayerId> = new Set(),
  themes: readonly string[] = [],
): StyleSheet {
  const uses = new Map<string, ClassDraft>();
  const given = new Set<string>([...RESERVED, ...pages.filter((page) => page.narrow).map(pageClass)]);
  /** The looks that occur with each of a person's classes. */
  const wearers = new Map<string, Set<string | null>>();
  const note = ({ mark, parts, placement, name, classes }: ClassUser, count: number) => {
    for (const each of classes) {
      given.add(each);
      wearers.set(each, (wearers.get(each) ?? new Set()).add(mark));
    }
    if (mark === null) return;
    const use: ClassDraft = uses.get(mark) ?? {
      ...parts,
      names: new Map(),
      count: 0,
      common: classes,
      placements: new Map(),
    };
    uses.set(mark, use);
    use.count += count;
    if (use.common.length > 0) use.common = use.common.filter((each) => classes.includes(each));
    if (!placement) use.placements = null;
    else if (use.placements) countPlacement(use.placements, placement, count);
    if (name !== null) use.names.set(name, (use.names.get(name) ?? 0) + count);
  };
  const looks = lookClasses(pages, samples, RESERVED);
  const useOf = (node: PageNode) => {
    const worn = wornLook(node, looks);
    return worn === null ? classUseOf(node) : USE_BESIDE[worn](node);
  };
  const counts = new Map<NodeClassUse, number>();
  for (const page of pages)
    for (const worn of waiting.size + looks.size === 0
      ? usesIn(page.children)
      : usesBeside(page.children, waiting, useOf))
      counts.set(worn, (counts.get(worn) ?? 0) + 1);
  for (const [worn, count] of counts) {
    note(worn, count);
    for (const letters of worn.letters) note(letters, count);
  }
  for (const { ground, classes, themes: looks = NO_THEMES } of pages) {
    if (!ground || !classes) continue;
    note(plainUser({ fills: [{ kind: 'solid', colour: ground }] }, classes, looks), 1);
  }
  const known = new Map<string, StyleClass>();
  for (const [name, { look, states, themes: own }] of looks)
    known.set(`class ${name}`, {
      name,
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
  for (const [mark, { names, count, common, placements, ...parts }] of uses) {
    const { look, layout, states, themes: looks, narrow } = parts;
    const said = common.find((each) => samples.has(each) && holdsOneLook(each)) ?? common.find(holdsOneLook);
    const own = nameOfMost(names, count) ?? describe(look, layout);
    const name = said ?? freeName(own, given);
    const counted = [...(placements?.values() ?? [])];
    known.set(mark, { name, look, layout, placements: counted, states, themes: looks, narrow });
  }
  const roots = new Map<string, string[]>();
  for (const { name, states } of known.values()) {
    const control = states.find(({ isControl }) => isControl)?.control;
    if (control !== undefined) roots.set(control, [...(roots.get(control) ?? []), name]);
  }
  return {
    classes: [...known.values()],
    themes,
    nameClassOf: (node) => nameClassOf(node, given, known.get(useOf(node).mark ?? '')?.name),
    classFor: (look) => known.get(lookKey(look) ?? '')?.name ?? null,
    classesOfControl: (control) => roots.get(control) ?? [],
    classOf: (node) => known.get(useOf(node).mark ?? '') ?? null,
  };
}

/** What a node, a span or a page contributes to its class. */
interface ClassUser {
  /** Users with equal keys share a class; null needs none. */
  readonly mark: string | null;
  readonly parts: Parts;
  /** Null for letters and pages. */
  readonly placement: PlacementText | null;
  readonly name: string | null;
  /** The classes that a person gave. */
  readonly classes: readonly string[];
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
  const [mark, name] = [classKeyOf(node, placement), nameOf(node)];
  const letters = lettersOf(node).map((look) => plainUser(look, []));
  const { classes } = node;
  const said = JSON.stringify([mark, placement.text, name, classes, letters.map((each) => each.mark)]);
  return internUser(said, () => ({ mark, parts: partsOf(node), placement, name, classes, letters }));
});

const internUser = internByText<NodeClassUse>();

const usesIn = collectFromNodes((node) => [classUseOf(node)]);

/** The same without the nodes of waiting layers, and what is inside of them. */
function usesBeside(
  nodes: readonly PageNode[],
  waiting: ReadonlySet<LayerId>,
  useOf: (node: PageNode) => NodeClassUse,
): readonly NodeClassUse[] {
  return nodes.flatMap((node) => {
    if ([node.layer, ...(node.merged ?? [])].some((layer) => waiting.has(layer))) return [];
    return [useOf(node), ...(node.kind === 'box' ? usesBeside(node.children, waiting, useOf) : [])];
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
  return { mark: lookKey(look, null, NONE, themes), parts, placement: null, name: null, classes };
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

/** A layer's own name without its number, else its role. */
function nameOf({ named, name, nameSaid, role }: PageNode): string | null {
  if (named) return nameSaid ? name : withoutNumber(name);
  return role === 'box' || role === 'text' || role === 'picture' ? null : role;
}

/**
 * A layer that the mockup or a person named keeps its name in the code, whatever its look is called. No class
 * of that name styles anything.
 */
function nameClassOf(
  { kind, named, name, nameSaid, role }: PageNode,
  taken: ReadonlySet<string>,
  own: string | undefined,
): string | null {
  // A picture has its name in its file.
  const plain = named && kind !== 'picture' ? (nameSaid ? name : withoutNumber(name)) : null;
  if (nameSaid && plain !== null && own !== plain) return plain;
  const isSaid = plain === roleEntry(role).element || plain === role;
  const isStyled = plain !== null && (taken.has(plain) || own?.replace(/-\d+$/, '') === plain);
  return isSaid || isStyled ? null : plain;
}

/** `row-3` and `row-4` look alike as `row`. */
export function withoutNumber(name: string): string {
  return name.replace(/(?:-\d+)+$/, '') || name;
}

/** The share of its users that give a class their name: fewer would name the others wrongly. */
const NAMING_SHARE = 0.6;

function nameOfMost(names: ReadonlyMap<string, number>, users: number): string | null {
  for (const [name, count] of names) if (count >= NAMING_SHARE * users) return name;
  return null;
}

/** A name that describes the look, for looks without a named user. */
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
