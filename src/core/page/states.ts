import type { Look } from '../look/look';
import type { LayerKey } from '../mockup/layer';
import type { State } from '../sort/vocabulary';
import { isWrapped, type PageNode, type StateLook } from './node';

/** A node as it looks in a state. */
export interface StateNode {
  readonly base: LayerKey;
  readonly state: State;
  readonly node: PageNode;
}

/**
 * Gives nodes the looks of their states: part by part, where base and version are built alike. What tells the node with
 * the states is its look in all of them, so that all of one kind share their classes.
 */
export function withStates(nodes: readonly PageNode[], versions: readonly StateNode[]): readonly PageNode[] {
  if (versions.length === 0) return nodes;
  const byBase = new Map<LayerKey, StateNode[]>();
  for (const version of versions) byBase.set(version.base, [...(byBase.get(version.base) ?? []), version]);
  const dress = (node: PageNode): PageNode => {
    const inside = node.kind === 'box' ? { ...node, children: node.children.map(dress) } : node;
    const own = byBase.get(node.layer);
    if (!own) return inside;
    const mark = stateMark(
      node.look,
      own.map(({ state, node: version }) => ({ state, look: version.look })),
    );
    return own.reduce<PageNode>(
      (dressed, { state, node: version }) => pair(dressed, version, state, null, mark),
      inside,
    );
  };
  return nodes.map(dress);
}

/** What tells the nodes of one kind that have states: their looks. */
export function stateMark(look: Look, states: readonly Pick<StateLook, 'state' | 'look'>[]): string {
  return JSON.stringify([look, states.map((each) => [each.state, each.look])]);
}

/** The picture that a version shows instead of the one at rest. */
function otherPicture(base: PageNode, version: PageNode): StateLook['picture'] | null {
  if (base.kind !== 'picture' || version.kind !== 'picture' || base.picture === version.picture) return null;
  return { name: version.picture, wrapped: isWrapped(base) };
}

/** Px that count as standing elsewhere. */
const MOVED = 0.5;

function pair(
  base: PageNode,
  version: PageNode,
  state: State,
  within: string | null,
  mark: string,
): PageNode {
  // A version as a whole stands where its base does.
  const [x, y] = [version.place.x - base.place.x, version.place.y - base.place.y];
  const isMoved = within !== null && (Math.abs(x) > MOVED || Math.abs(y) > MOVED);
  const picture = otherPicture(base, version);
  const look: StateLook = {
    state,
    look: version.look,
    ...(picture && { picture }),
    shift: isMoved ? { x, y } : null,
    within,
  };
  const differs = isMoved || picture !== null || JSON.stringify(base.look) !== JSON.stringify(version.look);
  const dressed = differs || within === null ? { ...base, states: [...(base.states ?? []), look] } : base;
  if (dressed.kind !== 'box' || version.kind !== 'box') return dressed;
  const isAlike =
    dressed.children.length === version.children.length &&
    dressed.children.every((child, at) => child.kind === version.children[at]?.kind);
  if (!isAlike) return dressed;
  const children = dressed.children.map((child, at) => pair(child, version.children[at]!, state, mark, mark));
  return { ...dressed, children };
}
