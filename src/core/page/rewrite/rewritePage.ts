import type { LayerId } from '../../mockup/layer';
import { memoizeByObject } from '../../mockup/memoize';
import type { Page } from '../frame';
import { withChildren } from '../mapBoxes';
import type { BoxNode, PageNode } from '../node';
import type { StateNode } from '../states/stateNode';
import { withStates } from '../states/withStates';
import { mergeBackdrop } from './mergeBackdrop';
import type { Rewrite, RewriteTrace } from './rewrite';
import { REWRITES } from './rewrites';

/** Nodes with all rewrites that made them. */
interface Rewritten {
  readonly nodes: readonly PageNode[];
  readonly trace: readonly RewriteTrace[];
}

/**
 * The page by its groups after all rewrites, with the trace of what they did. Places are px of the screen.
 * @param versions the states of layers; they become looks of their nodes
 * @param fitsBrowsers whether a browser shows the page
 */
export function rewritePage(page: Page, versions: readonly StateNode[] = [], fitsBrowsers = true): Page {
  const { rewriteNode, rewriteSiblings } = fitsBrowsers ? FOR_BROWSERS : FOR_ALL;
  const inside = collect(page.children.map(rewriteNode));
  const { siblings, trace } = rewriteSiblings(inside.nodes, page.screen);
  const shaped = versions.flatMap(({ node, ...version }) =>
    rewriteNode(node).nodes.map((each) => ({
      ...version,
      node: each.kind === 'box' ? mergeBackdrop(each, true) : each,
    })),
  );
  const rewrites = [...inside.trace, ...trace];
  const bases = new Set(versions.map(({ base }) => base));
  const { nodes, lost } = withStates(
    siblings.map((node) => withMergedBases(node, bases)),
    shaped,
  );
  return { ...page, children: nodes, rewrites, lostStates: lost };
}

/** A base becomes one box with its backdrop, as its versions do. */
function withMergedBases(node: PageNode, bases: ReadonlySet<LayerId>): PageNode {
  if (node.kind !== 'box' || bases.size === 0) return node;
  const inside = withChildren(
    node,
    node.children.map((child) => withMergedBases(child, bases)),
  );
  return bases.has(node.layer) ? mergeBackdrop(inside, true) : inside;
}

function collect(parts: readonly Rewritten[]): Rewritten {
  return { nodes: parts.flatMap((part) => part.nodes), trace: parts.flatMap((part) => part.trace) };
}

/** The driver of a list of rewrites; each has results of its own. */
function driverOf(rewrites: readonly Rewrite[]) {
  const rewriteNode = (node: PageNode): Rewritten =>
    node.kind === 'box' ? rewriteGroup(node) : { nodes: [node], trace: [] };

  const rewriteGroup = memoizeByObject((group: BoxNode): Rewritten => {
    const inside = collect(group.children.map(rewriteNode));
    const trace: RewriteTrace[] = [...inside.trace];
    let now: BoxNode = { ...group, children: inside.nodes };
    for (const rewrite of rewrites) {
      const nodes = applyTo(now, rewrite);
      if (!nodes) continue;
      trace.push(...traceOf(rewrite, now, nodes));
      if (rewrite.scope === 'unwrap') return { nodes, trace };
      now = nodes[0] as BoxNode;
    }
    return { nodes: [now], trace };
  });

  const rewriteSiblings = (nodes: readonly PageNode[], around: LayerId) => {
    const trace: RewriteTrace[] = [];
    let siblings = nodes;
    for (const rewrite of rewrites) {
      const made = rewrite.scope === 'siblings' ? changedSiblings(siblings, rewrite) : null;
      if (!made) continue;
      trace.push(...traceSiblings(rewrite.name, siblings, made, around));
      siblings = made;
    }
    return { siblings, trace };
  };
  return { rewriteNode, rewriteSiblings };
}

const FOR_BROWSERS = driverOf(REWRITES);
const FOR_ALL = driverOf(REWRITES.filter(({ isFor }) => isFor === undefined));

/** What a rewrite makes of a group; null where nothing changes. */
function applyTo(group: BoxNode, rewrite: Rewrite): readonly PageNode[] | null {
  switch (rewrite.scope) {
    case 'group': {
      if (rewrite.guard?.(group) === false) return null;
      const made = rewrite.apply(group);
      return made === group ? null : [made];
    }
    case 'siblings': {
      const children = changedSiblings(group.children, rewrite);
      return children && [{ ...group, children }];
    }
    case 'unwrap':
      return rewrite.guard?.(group) === false ? null : rewrite.apply(group);
  }
}

function changedSiblings(
  siblings: readonly PageNode[],
  { guard, apply }: Extract<Rewrite, { scope: 'siblings' }>,
): readonly PageNode[] | null {
  if (guard?.(siblings) === false) return null;
  const made = apply(siblings);
  const isSame = made.length === siblings.length && made.every((node, at) => node === siblings[at]);
  return isSame ? null : made;
}

function traceOf({ name, scope }: Rewrite, before: BoxNode, after: readonly PageNode[]): RewriteTrace[] {
  const [first] = after;
  if (scope === 'unwrap')
    return after.length === 1 && first
      ? [{ rewrite: name, layer: first.layer, absorbed: [before.layer] }]
      : [{ rewrite: name, layer: before.layer, absorbed: [] }];
  const children = first?.kind === 'box' ? first.children : [];
  if (scope === 'siblings') return traceSiblings(name, before.children, children, before.layer);
  return [{ rewrite: name, layer: before.layer, absorbed: goneFrom(before.children, children) }];
}

/** The changed siblings, each with the layers that it absorbed; the rest goes to what is around them. */
function traceSiblings(
  rewrite: string,
  before: readonly PageNode[],
  after: readonly PageNode[],
  around: LayerId,
): RewriteTrace[] {
  const kept = new Set(before);
  const gone = new Set(goneFrom(before, after));
  const entries = after
    .filter((node) => !kept.has(node))
    .map(({ layer, merged = [] }) => {
      const absorbed = merged.filter((each) => gone.delete(each));
      return { rewrite, layer, absorbed };
    });
  return gone.size > 0 ? [...entries, { rewrite, layer: around, absorbed: [...gone] }] : entries;
}

function goneFrom(before: readonly PageNode[], after: readonly PageNode[]): readonly LayerId[] {
  const left = new Set(after.map(({ layer }) => layer));
  return before.flatMap(({ layer }) => (left.has(layer) ? [] : [layer]));
}
