import type { Narrow, PageNode } from '../node';

/** What a node of a narrow page says of itself to the node that it shares with the wide one. */
export function asNarrow(node: PageNode): Narrow {
  const { look, place } = node;
  return {
    look,
    place,
    ...(node.kind === 'box' && node.layout && { layout: node.layout }),
    ...(node.kind === 'picture' && { picture: node.picture }),
  };
}

/** A node as it is on the narrow page; null where it is the same on both, or on one of them only. */
export function onNarrow(node: PageNode): PageNode | null {
  if (node.shared?.kind !== 'both') return null;
  const { look, place, layout, picture } = node.shared.narrow;
  switch (node.kind) {
    case 'box': {
      const { layout: _, ...box } = node;
      return { ...box, look, place, ...(layout && { layout }) };
    }
    case 'text':
      return { ...node, look, place };
    case 'picture':
      return { ...node, look, place, picture: picture ?? node.picture };
  }
}
