import { SNAPPED } from './tolerances';
import type { Look } from '../look/look';
import type { LayerId } from '../mockup/layer';
import type { State } from '../sort/vocabulary';
import { isWrapped, type PageNode, type StateLook } from './node';

/** A node as it looks in a state. */
export interface StateNode {
  readonly base: LayerId;
  readonly state: State;
  readonly node: PageNode;
}

/**
 * Adds state looks to nodes, part by part where base and version have the same structure. Nodes with the same
 * states get the same key, so that they share their classes.
 */
export function withStates(nodes: readonly PageNode[], versions: readonly StateNode[]): readonly PageNode[] {
  if (versions.length === 0) return nodes;
  const byBase = new Map<LayerId, StateNode[]>();
  for (const version of versions) byBase.set(version.base, [...(byBase.get(version.base) ?? []), version]);
  const dress = (node: PageNode): PageNode => {
    const inside = node.kind === 'box' ? { ...node, children: node.children.map(dress) } : node;
    const own = byBase.get(node.layer);
    if (!own) return inside;
    const mark = statesKey(
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

/** The key that identifies nodes with the same states: their looks as text. */
export function statesKey(look: Look, states: readonly Pick<StateLook, 'state' | 'look'>[]): string {
  return JSON.stringify([look, states.map((each) => [each.state, each.look])]);
}

/** The picture that the version shows instead of the resting one. */
function otherPicture(base: PageNode, version: PageNode): StateLook['picture'] | null {
  if (base.kind !== 'picture' || version.kind !== 'picture' || base.picture === version.picture) return null;
  return { name: version.picture, wrapped: isWrapped(base) };
}

function pair(
  base: PageNode,
  version: PageNode,
  state: State,
  within: string | null,
  mark: string,
): PageNode {
  // A version as a whole stands at the place of its base.
  const [x, y] = [version.place.x - base.place.x, version.place.y - base.place.y];
  const isMoved = within !== null && (Math.abs(x) > SNAPPED || Math.abs(y) > SNAPPED);
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
