import { placedBox } from '../placed';
import type { BoxNode } from '../node';
import { contentRingOf } from '../ring';

/**
 * A box around content, its border drawn between px where browsers would move it to whole ones. Places are those of the
 * screen.
 */
export function ringed(node: BoxNode): BoxNode {
  if (node.children.length === 0 || node.place.turn || node.look.sides) return node;
  const ring = contentRingOf(placedBox(node.place), node.look);
  if (!ring) return node;
  const { border: _, radii: __, ...look } = node.look;
  const { box, radii, shadows } = ring;
  return {
    ...node,
    place: { ...node.place, ...box },
    look: { ...look, ...(radii && { radii }), shadows },
  };
}
