import equal from 'fast-deep-equal';
import type { Look } from '../look/look';
import type { Page } from '../page/frame';
import type { PageNode } from '../page/node';
import { liesIn, type Sample } from './samples';
import { lookKey, NO_THEMES, NONE, partsOf, type Parts } from './classKey';

/** What a sample is: a shape says how boxes look, a text how letters do. */
export type SampleKind = 'shape' | 'text';
/** A class with samples: their kind, and for each sample the classes that it stands inside of. */
export interface SampledClass {
  readonly kind: SampleKind;
  readonly paths: readonly (readonly string[])[];
}
/** The classes that have a sample, by name. */
export type SampledClasses = ReadonlyMap<string, SampledClass>;

/** The look of a class, inside of some other classes. */
export interface LookVariant extends Pick<Parts, 'look' | 'states' | 'themes'> {
  /** The classes around, outermost first; empty for everywhere else. */
  readonly within: readonly string[];
  /** Stands for the look. */
  readonly mark: string;
}

/** A class that holds a look alone, as its samples say; a class beside it holds the layout. */
export interface LookClass {
  readonly kind: SampleKind;
  /** Those inside of more classes come later. */
  readonly variants: readonly LookVariant[];
}

/** The samples of a mockup by the classes that they define. */
export function sampledClasses(samples: readonly Sample[]): SampledClasses {
  const found = new Map<string, SampledClass>();
  for (const { path, layer } of samples) {
    const name = path.at(-1) ?? '';
    found.set(name, { kind: layer.kind, paths: [...(found.get(name)?.paths ?? []), path.slice(0, -1)] });
  }
  return found;
}

/**
 * The classes with a sample whose wearers all look as one of their samples says, by their names: each holds its looks
 * for all of them, however they are laid out. Inside of other classes it may look otherwise (Selectors 4, §14.1).
 * @param reserved names that no class may have
 */
export function lookClasses(
  pages: readonly Page[],
  samples: SampledClasses,
  reserved: readonly string[],
): ReadonlyMap<string, LookClass> {
  if (samples.size === 0) return new Map();
  const found = new Map<string, Map<string, LookVariant | null>>();
  const visit = (node: PageNode, around: readonly (readonly string[])[]): void => {
    for (const name of node.classes) {
      const sampled = samples.get(name);
      if (!sampled || reserved.includes(name)) continue;
      const within = innermost(sampled.paths, around);
      const own = lookOf(node, sampled.kind);
      const variants = found.get(name) ?? new Map<string, LookVariant | null>();
      found.set(name, variants);
      const key = within.join(' ');
      const known = variants.get(key);
      const isSame = known === undefined || (known !== null && known.mark === own?.mark);
      variants.set(key, isSame && own ? { ...own, within } : null);
    }
    if (node.kind !== 'box') return;
    const inside = node.classes.length === 0 ? around : [...around, node.classes];
    for (const child of node.children) visit(child, inside);
  };
  for (const node of pages.flatMap(({ children }) => children)) visit(node, []);
  return new Map(
    [...found].flatMap(([name, byPath]) => {
      const variants = [...byPath.values()];
      const sampled = samples.get(name);
      if (!sampled || !variants.every(isVariant) || !canStandTogether(variants)) return [];
      const sorted = variants.toSorted((one, other) => one.within.length - other.within.length);
      return [[name, { kind: sampled.kind, variants: sorted }] as const];
    }),
  );
}

function isVariant(variant: LookVariant | null): variant is LookVariant {
  return variant !== null;
}

/** A rule inside of other classes says nothing of states and themes. */
function canStandTogether(variants: readonly LookVariant[]): boolean {
  return variants.length === 1 || variants.every(({ states, themes }) => states.length + themes.length === 0);
}

/** The longest of the paths that a node lies in. */
function innermost(
  paths: readonly (readonly string[])[],
  around: readonly (readonly string[])[],
): readonly string[] {
  return paths
    .filter((path) => liesIn(path, around))
    .reduce<readonly string[]>((longest, path) => (path.length > longest.length ? path : longest), []);
}

/** What a node wears of its look; null for a node without a look, or one that differs on a narrow screen. */
function lookOf(node: PageNode, kind: SampleKind): Omit<LookVariant, 'within'> | null {
  const { look, states, themes, narrow } = partsOf(kind === 'shape' ? boxPart(node) : node);
  const mark = narrow ? null : lookKey(look, null, states, themes);
  return mark === null ? null : { look, states, themes, mark };
}

/** A node without the look of its words: a sample of a box says nothing of letters. */
function boxPart(node: PageNode): PageNode {
  if (!node.look.type) return node;
  const themes = node.themes?.map((each) => ({ ...each, look: without(each.look) }));
  return { ...node, look: without(node.look), ...(themes && { themes }) };
}

function without({ type: _, ...look }: Look): Look {
  return look;
}

/** What is left of a node beside the look that its class holds: of a box the look of its words. */
export function besideLookClass(node: PageNode, kind: SampleKind): PageNode {
  const words = ({ type }: Look): Look => (kind === 'shape' && type ? { type } : {});
  const own = words(node.look);
  const themes = (node.themes ?? NO_THEMES)
    .map((each) => ({ ...each, look: words(each.look) }))
    .filter(({ look }) => !equal(look, own));
  return { ...node, look: own, states: NONE, themes };
}

/** The kind of the look that a class of a person holds for a node; null when none does. */
export function wornLook(node: PageNode, looks: ReadonlyMap<string, LookClass>): SampleKind | null {
  if (looks.size === 0) return null;
  for (const name of node.classes) {
    const held = looks.get(name);
    const mark = held && lookOf(node, held.kind)?.mark;
    if (held?.variants.some((variant) => variant.mark === mark)) return held.kind;
  }
  return null;
}
