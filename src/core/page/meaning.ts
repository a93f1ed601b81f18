import type { Layer, LayerId } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import { treeOf } from '../mockup/tree';
import { memoizeLast } from '../mockup/memoize';
import type { Decision } from '../sort/decision';
import { differencesOf, type Difference } from '../sort/differences';

/** What a node is to the page beyond its role: what printers need for components, lists and shared parts. */
export interface Meaning {
  /** Its place among like-built siblings. */
  readonly repeat?: NodeRepeat;
  /** Present for a block that several screens share. */
  readonly furniture?: NodeFurniture;
  /** The element of the file that it is an instance of. */
  readonly instanceOf?: string;
}

/** A block that several screens share. */
export interface NodeFurniture {
  /** The layer of the first such block, which identifies it. */
  readonly pattern: LayerId;
  readonly screens: number;
  /** The parts in which this block differs from the first one. */
  readonly differences: readonly Difference[];
}

/** A member of a repeat: like-built siblings of one pattern. */
export interface NodeRepeat {
  /** The layer of the first member, which identifies the pattern. */
  readonly pattern: LayerId;
  readonly index: number;
  readonly count: number;
  /** The parts in which it differs from the first member. */
  readonly differences: readonly Difference[];
}

/** The meaning of a layer's node. */
export function meaningOf(layer: Layer, { repeat, furniture }: Decision, mockup: Mockup): Meaning {
  return {
    ...(repeat && {
      repeat: {
        pattern: repeat.pattern,
        index: repeat.index,
        count: repeat.count,
        differences: differencesFrom(layer, treeOf(mockup).layer(repeat.pattern)),
      },
    }),
    ...(furniture && {
      furniture: {
        pattern: furniture.pattern,
        screens: furniture.count,
        differences: differencesFrom(layer, treeOf(mockup).layer(furniture.pattern)),
      },
    }),
    ...(layer.kind === 'group' && layer.instanceOf !== null && { instanceOf: layer.instanceOf }),
  };
}

function differencesFrom(layer: Layer, first: Layer | undefined): readonly Difference[] {
  if (!first || first === layer) return [];
  return lastDifferences(layer, [first], () => differencesOf(layer, first));
}

const lastDifferences = memoizeLast<Layer, readonly Difference[]>();
