import type { Narrow, PageNode } from '../node';

/** What a node of a narrow page says of itself to the node that it shares with the wide one. */
export function asNarrow(node: PageNode): Narrow {
  const { look, place } = node;
  return {
    look,
    place,
    ...(node.kind !== 'picture' && node.layout && { layout: node.layout }),
    ...(node.kind === 'picture' && { picture: node.picture }),
  };
}

/** A node as it is on the narrow page; null where it is the same on both, or on one of them only. */
export function onNarrow(node: PageNode): PageNode | null {
  if (node.shared?.kind !== 'both') return null;
  const { look, place, layout, picture } = node.shared.narrow;
  switch (node.kind) {
    case 'box':
    case 'text': {
      const { layout: _, ...others } = node;
      return { ...others, look, place, ...(layout && { layout }) };
    }
    case 'picture':
      return { ...node, look, place, picture: picture ?? node.picture };
  }
}
