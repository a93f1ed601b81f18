import { flatMap } from '../mockup/flatMap';
import type { LayerId } from '../mockup/layer';
import { pageClass, WIDTH_CLASSES } from '../page/join/names';
import type { Page } from '../page/frame';
import type { PageNode } from '../page/node';
import { classNameFor, nameClassOf, thingOf, type NamedUsers } from './classNames';
import {
  classUseOf,
  plainUser,
  USE_BESIDE,
  usesBeside,
  usesIn,
  type ClassUser,
  type OwnedUse,
  type PlacementText,
} from './classUses';
import { kinOf } from './kin';
import { wordsOfClasses } from './classWords';
import { lookKey, NO_THEMES, type Parts } from './classKey';
import { lookClasses, wornLook, type SampledClasses } from './lookClasses';
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

/** What a person said of the style sheet. */
export interface SaidStyle {
  readonly values: SaidValues;
  /** The names that no class may have. */
  readonly forbidden: readonly string[];
}

const NOTHING_SAID_OF_STYLE: SaidStyle = { values: NOTHING_SAID, forbidden: [] };

/** Names that the base style sheet uses. */
export const RESERVED_CLASSES: readonly string[] = ['screen', 'run', 'flow', 'control', ...WIDTH_CLASSES];

/**
 * Gives every look one class, shared by all nodes with equal look and layout, named after the layers that use
 * it.
 * @param samples classes that have a sample: they name its look
 * @param waiting layers that get no class yet, since their next change is on its way
 * @param themes the themes that are written
 * @param said what a person said of the style sheet
 */
export function factorClasses(
  pages: readonly Page[],
  samples: SampledClasses,
  waiting: ReadonlySet<LayerId> = new Set(),
  themes: readonly string[] = [],
  said: SaidStyle = NOTHING_SAID_OF_STYLE,
): StyleSheet {
  const uses = new Map<string, ClassDraft>();
  const given = new Set<string>([
    ...RESERVED_CLASSES,
    ...said.forbidden,
    ...pages.filter((page) => page.narrow).map(pageClass),
  ]);
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
  const looks = lookClasses(pages, samples, RESERVED_CLASSES);
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
        lead: null,
        isSaid: true,
        look,
        states,
        themes: own,
        layout: null,
        placements: [],
        narrow: null,
      });
  /** A class that a person gave holds the look, when all its wearers have the same one. */
  const holdsOneLook = (name: string) =>
    wearers.get(name)?.size === 1 && !RESERVED_CLASSES.includes(name) && !looks.has(name);
  const kin = kinOf(pages, (node) => useOf(node).mark);
  for (const [mark, draft] of uses) {
    const lead = kin.get(mark) ?? mark;
    const { look, layout, states, themes: looks, narrow, common, placements } = draft;
    const worn = common.find((each) => samples.has(each) && holdsOneLook(each)) ?? common.find(holdsOneLook);
    const name =
      nameSaid(draft.lookName, given) ??
      worn ??
      classNameFor(draft, given, layerNames, () => wordsOf(mark), known.get(lead)?.name);
    const counted = [...(placements?.values() ?? [])];
    known.set(mark, {
      name,
      within: [],
      thing: thingOf(draft),
      lead: known.get(lead)?.name ?? null,
      isSaid: draft.lookName !== null || worn !== undefined,
      look,
      layout,
      placements: counted,
      states,
      themes: looks,
      narrow,
    });
  }
  const flows = pages.some(({ layout }) => layout !== undefined);
  const roots = new Map<string, string[]>();
  for (const { name, states } of known.values()) {
    const control = states.find(({ isControl }) => isControl)?.control;
    if (control !== undefined) roots.set(control, [...(roots.get(control) ?? []), name]);
  }
  return {
    classes: [...known.values()],
    flows,
    themes,
    values: said.values,
    // In the flow a class styles something, or is the name of an element without one.
    nameClassOf: (node) => {
      const own = known.get(useOf(node).mark ?? '')?.name;
      return flows && own !== undefined && !node.nameSaid ? null : nameClassOf(node, given, own);
    },
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
