import { placedBox } from '../placed';
import type { BoxNode } from '../node';
import { contentStrokeAsShadow } from '../browserFit/strokeAsShadow';

/**
 * Draws the border of a box with content as shadows where browsers would move it to whole px. Places are px
 * of the screen.
 */
export function borderAsShadow(node: BoxNode): BoxNode {
  if (node.look.sides) return node;
  const ring = contentStrokeAsShadow(placedBox(node.place), node.look);
  if (!ring) return node;
  const { border: _, radii: __, ...look } = node.look;
  const { box, radii, shadows } = ring;
  return {
    ...node,
    place: { ...node.place, ...box },
    look: { ...look, ...(radii && { radii }), shadows },
  };
}
