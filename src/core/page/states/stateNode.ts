import type { LayerId } from '../../mockup/layer';
import type { State } from '../../sort/vocabulary';
import type { PageNode } from '../node';

/** A version of a layer as a node: how its base looks in a state. */
export interface StateNode {
  /** The layer of the version. */
  readonly layer: LayerId;
  readonly base: LayerId;
  readonly state: State;
  /** The layer that has the states: it is pressed or pointed at. */
  readonly control: LayerId;
  readonly node: PageNode;
}
