import type { Page } from '../../frame';
import { mapBoxes, withChildren } from '../../mapBoxes';
import type { BoxNode, PageNode } from '../../node';

/** Takes the content out of containers that a person wants exactly as drawn: no pass of the flow changes it. */
export function setExactAside(page: Page): Page {
  return { ...page, children: page.children.map(aside) };
}

const aside = mapBoxes((box: BoxNode): PageNode => {
  if (box.layoutOverride?.contents === 'exact') return { ...box, children: [], setAside: box.children };
  return withChildren(box, box.children.map(aside));
});

/** Puts it back, at the coordinates of the mockup. Places are px of the screen. */
export function bringExactBack(page: Page): Page {
  return { ...page, children: page.children.map(back) };
}

const back = mapBoxes((box: BoxNode): PageNode => {
  const { setAside, ...rest } = box;
  if (!setAside) return withChildren(box, box.children.map(back));
  return { ...rest, children: [...setAside.map(atCoordinates), ...box.children.map(back)] };
});

/** A node that keeps its distance from the top left corner; its lines do not break, however wide the letters come out. */
function atCoordinates(node: PageNode): PageNode {
  const { place } = node;
  const mode = place.fitsContent ? 'fit' : 'drawn';
  const pins = { x: 'start', y: 'start', right: 0, bottom: 0, widthMode: mode, heightMode: mode } as const;
  const placed = { ...node, ...(place.kind === 'fixed' && { place: { ...place, pins } }) };
  if (placed.kind === 'text') return { ...placed, wraps: placed.lines.length === 1 ? 'never' : 'as-drawn' };
  return placed.kind === 'box' ? { ...placed, children: placed.children.map(atCoordinates) } : placed;
}
