import type { Report } from '../findings/finding';
import { CONTENTS_WORDS } from '../sort/facets/contents';
import type { Page } from './frame';
import type { BoxNode, PageNode } from './node';
import { collectFromNodes } from './walk';

/** Reports of a page in the flow what stands at coordinates, and what a person's choice of a layout moves. */
export function reportLayout({ layout, children }: Page, report: Report): void {
  for (const { layer, layoutOverride, children: parts } of containersWith(children, isMoved)) {
    const distances = parts.map(distanceMoved).filter((distance) => distance > 0);
    const contents = CONTENTS_WORDS[layoutOverride!.contents!];
    const px = Math.round(Math.max(...distances));
    report('moved-as-said', layer, { contents, count: distances.length, px });
  }
  if (!layout) return;
  for (const box of outermostAtCoordinates(children))
    report('at-coordinates', box.layer, { count: box.children.length });
}

/** Px from where a node was drawn to where it stands. */
function distanceMoved({ movedBy }: PageNode): number {
  return movedBy ? Math.hypot(movedBy.x, movedBy.y) : 0;
}

function isMoved({ layoutOverride, children }: BoxNode): boolean {
  return layoutOverride?.contents !== undefined && children.some(({ movedBy }) => movedBy !== undefined);
}

function containersWith(nodes: readonly PageNode[], test: (box: BoxNode) => boolean): readonly BoxNode[] {
  return nodes.flatMap((node) =>
    node.kind === 'box' ? [...(test(node) ? [node] : []), ...containersWith(node.children, test)] : [],
  );
}

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
