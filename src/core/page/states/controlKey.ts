import { isInteractiveRole, roleEntry, type State } from '../../sort/vocabulary';
import { lineText, type PageNode } from '../node';
import type { StateNode } from './stateNode';

/** How an element says which state it is in: by what HTML gives it, or by ARIA attributes. */
export type StateSource = 'button' | 'label' | 'aria';

/** A node that has states, and the versions of itself and its parts. */
export interface Control {
  /** Equal for controls with equal states, so that they share their classes. */
  readonly key: string;
  readonly source: StateSource;
  readonly states: readonly State[];
}

export function controlOf(node: PageNode, versions: readonly StateNode[]): Control {
  const digests = versions.map((each) => [each.state, digest(each.node)]);
  return {
    key: JSON.stringify(digests),
    source: sourceOf(node),
    states: [...new Set(versions.map(({ state }) => state))],
  };
}

function sourceOf({ role, href }: PageNode): StateSource {
  const { element } = roleEntry(role);
  if (href !== undefined || !isInteractiveRole(role)) return 'aria';
  return element === 'button' || element === 'label' ? element : 'aria';
}

/** All that a version shows, without the places. */
function digest(node: PageNode): unknown {
  switch (node.kind) {
    case 'box':
      return [node.look, node.children.map(digest)];
    case 'text':
      return [node.look, node.lines.map(lineText)];
    case 'picture':
      return [node.look, node.picture];
  }
}
