import type { Look } from '../look/look';
import { flatMap } from '../mockup/flatMap';
import type { LayerId } from '../mockup/layer';
import { internByText, memoizeByObject, memoizeLast } from '../mockup/memoize';
import type { PageNode, ThemeLook } from '../page/node';
import { sharedPlacementOf, type SharedPlacement } from '../page/sharedPlacement';
import { ownName } from '../sort/tellingNames';
import { lookKey, NO_THEMES, NONE, partsOf, type Parts } from './classKey';
import { ownerInside, partOf } from './classNames';
import { besideLookClass, type SampleKind } from './lookClasses';

/** What a node, a span or a page contributes to its class. */
export interface ClassUser {
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

export interface NodeClassUse extends ClassUser {
  /** The spans with a look of their own. */
  readonly letters: readonly ClassUser[];
}

/** A node's placement, and its text for comparison. */
export interface PlacementText {
  readonly placement: SharedPlacement | null;
  readonly text: string;
}

/** Unchanged nodes are compared by identity, and equal uses are interned. */
export const classUseOf = memoizeByObject((node: PageNode): NodeClassUse => {
  const own = sharedPlacementOf(node);
  const placement = { placement: own, text: own ? JSON.stringify(own) : '' };
  const [mark, name] = [classKeyOf(node, placement), ownName(node)];
  const letters = lettersOf(node).map((look) => plainUser(look, []));
  const { classes } = node;
  const lookName = node.ownClass ?? node.lookName ?? null;
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
export interface OwnedUse {
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
export function usesIn(node: PageNode, owner: string | null): readonly OwnedUse[] {
  return usesBelow(node, [owner], () => {
    const own = internOwned(classUseOf(node))(owner);
    if (node.kind !== 'box') return [own];
    const inside = ownerInside(node, owner);
    return [own, ...flatMap(node.children, (child) => usesIn(child, inside))];
  });
}

/** The same without the nodes of waiting layers, and what is inside of them. */
export function usesBeside(
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
export const USE_BESIDE = { shape: useBeside('shape'), text: useBeside('text') } as const;

function useBeside(kind: SampleKind): (node: PageNode) => NodeClassUse {
  return memoizeByObject((node: PageNode) => ({
    ...classUseOf(besideLookClass(node, kind)),
    letters: classUseOf(node).letters,
  }));
}

function lettersOf(node: PageNode): readonly Look[] {
  return node.kind === 'text' ? node.lines.flatMap(({ spans }) => spans.map(({ look }) => look)) : [];
}

export function plainUser(
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

function classKeyOf(node: PageNode, placement: PlacementText): string | null {
  const shared = sharedKeyOf(node, placement);
  return shared === null || node.ownClass === undefined ? shared : `${node.ownClass}: ${shared}`;
}

function sharedKeyOf(node: PageNode, { placement, text }: PlacementText): string | null {
  const { look, layout, states, themes, narrow } = partsOf(node);
  // Differences between two screens belong to the class: a style attribute has no media query.
  if (narrow) return JSON.stringify([look, layout, states, placement, narrow, themes]);
  const mark = lookKey(look, layout, states, themes);
  if (mark !== null) return mark;
  // A node with nothing but a placement shares a class with equal placements.
  return placement && `placement ${text}`;
}
