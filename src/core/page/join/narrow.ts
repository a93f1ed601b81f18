import type { Narrow, PageNode } from '../node';

/** The properties of a narrow page's node that are stored on the node shared with the wide page. */
export function asNarrow(node: PageNode): Narrow {
  const { look, place } = node;
  return {
    look,
    place,
    ...(node.kind !== 'picture' && node.layout && { layout: node.layout }),
    ...(node.kind === 'picture' && { picture: node.picture }),
  };
}

/** The node as the narrow page has it; null when it does not differ, or is on one page only. */
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
