import type { LayerId } from '../mockup/layer';
import type { LayerTree } from '../mockup/tree';
import { counterpart, type Labels } from './counterparts';

/**
 * The part of a like-built layer that corresponds to a part of another one; null when it has none.
 * @param member the layer that the part is in
 */
export function partLike(
  tree: LayerTree,
  member: LayerId,
  part: LayerId,
  other: LayerId,
  labels?: Labels,
): LayerId | null {
  if (member === other) return part;
  const [own, alike] = [tree.layer(member), tree.layer(other)];
  if (!own || !alike) return null;
  const line = tree.lineage(part);
  const way = line.slice(0, line.indexOf(member)).reverse();
  return counterpart(
    way.flatMap((id) => tree.layer(id) ?? []),
    own,
    alike,
    labels,
  );
}
