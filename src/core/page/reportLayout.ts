import type { Report } from '../findings/finding';
import { CONTENTS_WORDS } from '../sort/facets/contents';
import type { Page } from './frame';
import type { BoxNode, PageNode } from './node';
import { collectFromNodes } from './walk';

/** Reports of a page in the flow what stands at coordinates, and what a person's choice of a layout moves. */
export function reportLayout({ layout, children }: Page, report: Report): void {
  for (const { layer, ...moved } of movedIn(children)) report('moved-as-said', layer, moved);
  if (!layout) return;
  for (const box of outermostAtCoordinates(children))
    report('at-coordinates', box.layer, { count: box.children.length });
}

/** Px from where a node was drawn to where it stands. */
function distanceMoved({ movedBy }: PageNode): number {
  return movedBy ? Math.hypot(movedBy.x, movedBy.y) : 0;
}

/** What each container with a chosen layout moves. */
const movedIn = collectFromNodes((node) => {
  const contents = node.layoutOverride?.contents;
  const distances = node.kind === 'box' ? node.children.map(distanceMoved).filter((each) => each > 0) : [];
  if (contents === undefined || distances.length === 0) return [];
  const px = Math.round(Math.max(...distances));
  return [{ layer: node.layer, contents: CONTENTS_WORDS[contents], count: distances.length, px }];
});

/** The containers without a layout whose parts hold words, but none inside of another, and none that a person wants so. */
function outermostAtCoordinates(nodes: readonly PageNode[]): readonly BoxNode[] {
  return nodes.flatMap((node): readonly BoxNode[] => {
    if (node.kind !== 'box' || node.layoutOverride?.contents === 'exact') return [];
    const parts = node.children.filter(({ hidden }) => !hidden);
    const isLoose = !node.layout && !node.layoutOverride?.contents && parts.length > 1;
    return isLoose && textsIn(parts).length > 1 ? [node] : outermostAtCoordinates(node.children);
  });
}

const textsIn = collectFromNodes<string>(({ kind, layer }) => (kind === 'text' ? [layer] : []));
