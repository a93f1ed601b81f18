import equal from 'fast-deep-equal';
import type { Look } from '../look/look';
import type { Page } from '../page/frame';
import type { PageNode } from '../page/node';
import { walkNodes } from '../page/walk';
import { lookKey, NO_THEMES, NONE, partsOf, type Parts } from './classKey';

/** What a sample is: a shape says how boxes look, a text how letters do. */
export type SampleKind = 'shape' | 'text';
/** The classes that have a sample. */
export type SampleKinds = ReadonlyMap<string, SampleKind>;

/** A class that holds a look alone, as its sample says; a class beside it holds the layout. */
export interface LookClass extends Pick<Parts, 'look' | 'states' | 'themes'> {
  /** Stands for the look. */
  readonly mark: string;
  readonly kind: SampleKind;
}

/**
 * The classes with a sample whose wearers all have one look, by their names: each holds that look for all of them,
 * however they are laid out.
 * @param reserved names that no class may have
 */
export function lookClasses(
  pages: readonly Page[],
  samples: SampleKinds,
  reserved: readonly string[],
): ReadonlyMap<string, LookClass> {
  const found = new Map<string, LookClass | null>();
  if (samples.size === 0) return new Map();
  for (const node of pages.flatMap(({ children }) => walkNodes(children))) {
    for (const name of node.classes) {
      const kind = samples.get(name);
      if (kind === undefined || reserved.includes(name)) continue;
      const own = lookClassOf(node, kind);
      const known = found.get(name);
      found.set(name, known === undefined || known?.mark === own?.mark ? own : null);
    }
  }
  return new Map([...found].flatMap(([name, own]) => (own ? [[name, own]] : [])));
}

/** What a node wears of its look; null for a node without a look, or one that differs on a narrow screen. */
function lookClassOf(node: PageNode, kind: SampleKind): LookClass | null {
  const { look, states, themes, narrow } = partsOf(kind === 'shape' ? boxPart(node) : node);
  const mark = narrow ? null : lookKey(look, null, states, themes);
  return mark === null ? null : { look, states, themes, mark, kind };
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
    if (held && lookClassOf(node, held.kind)?.mark === held.mark) return held.kind;
  }
  return null;
}
