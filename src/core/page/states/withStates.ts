import type { LayerId } from '../../mockup/layer';
import type { PageNode } from '../node';
import { controlOf, type Control } from './controlKey';
import { dressVersion } from './dressVersion';
import type { StateNode } from './stateNode';

/** Nodes with their states, and the versions that cannot be written. */
export interface NodesWithStates {
  readonly nodes: readonly PageNode[];
  readonly lost: readonly StateNode[];
}

/** Writes the versions into their bases, as looks that the control takes in each state. */
export function withStates(nodes: readonly PageNode[], versions: readonly StateNode[]): NodesWithStates {
  if (versions.length === 0) return { nodes, lost: [] };
  const lost = new Set(versions);
  const made = nodes.flatMap((node) => dress(node, new Map(), versions, lost));
  return { nodes: made, lost: [...lost] };
}

/** The layers that a node stands for. */
function layersOf({ layer, merged = [] }: PageNode): readonly LayerId[] {
  return [layer, ...merged];
}

function dress(
  drawn: PageNode,
  around: ReadonlyMap<LayerId, Control>,
  versions: readonly StateNode[],
  lost: Set<StateNode>,
): readonly PageNode[] {
  const ids = layersOf(drawn);
  const owned = versions.filter(({ control }) => ids.includes(control));
  const control = owned.length > 0 ? controlOf(drawn, owned) : null;
  const controls = control ? new Map([...around, ...ids.map((id) => [id, control] as const)]) : around;
  const inside =
    drawn.kind === 'box'
      ? { ...drawn, children: drawn.children.flatMap((child) => dress(child, controls, versions, lost)) }
      : drawn;
  let node: PageNode = inside;
  const beside: PageNode[] = [];
  for (const version of versions) {
    if (!ids.includes(version.base) || !lost.has(version)) continue;
    const known = controls.get(version.control);
    const isControl = known === undefined || known === control;
    const write = {
      state: version.state,
      control: known ?? controlOf(drawn, [version]),
      isControl,
    };
    const made = dressVersion(node, version.node, write, drawn.layer !== version.base);
    if (!made) continue;
    lost.delete(version);
    ({ node } = made);
    beside.push(...made.beside);
  }
  return [control ? withOwnStates(node, control) : node, ...beside];
}

/** A control that does not change itself still has the states that its parts change in. */
function withOwnStates(node: PageNode, { key, source, states }: Control): PageNode {
  const own = new Set(node.states?.filter(({ isControl }) => isControl).map(({ state }) => state));
  const missing = states.filter((state) => !own.has(state));
  const added = missing.map((state) => ({
    state,
    look: node.look,
    shift: null,
    control: key,
    source,
    isControl: true,
  }));
  return added.length === 0 ? node : { ...node, states: [...(node.states ?? []), ...added] };
}
