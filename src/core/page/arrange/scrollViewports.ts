import { isPlain, type Look } from '../../look/look';
import { boxAround, contains, intersection, type Box } from '../../mockup/box';
import { anonymousBox } from '../anonymousBox';
import type { Page } from '../frame';
import { mapBoxes, withChildren } from '../mapBoxes';
import type { BoxNode, PageNode } from '../node';
import { placedBox } from '../placed';

/**
 * Gives every scroll area the box that is seen of it: its clip, that of its only child, or what the screen shows
 * of it. What it holds keeps its own size in a box inside. Places are px of the screen.
 */
export function scrollViewports(page: Page): Page {
  const screen = { x: 0, y: 0, width: page.width, height: page.height };
  const children = page.children.map((node) => settle(node, screen));
  return children.every((child, at) => child === page.children[at]) ? page : { ...page, children };
}

/** @param seen the part of the screen in which the node is seen */
function settle(node: PageNode, seen: Box): PageNode {
  if (node.kind !== 'box') return node;
  const shown = node.scroll === undefined ? node : withViewport(node, seen);
  const inside = intersection(placedBox(shown.place), seen) ?? seen;
  const children = shown.children.map((child) => settle(child, inside));
  return children.every((child, at) => child === shown.children[at]) ? shown : { ...shown, children };
}

function withViewport(node: BoxNode, seen: Box): BoxNode {
  const { area, content } = areaOf(node);
  const [first, ...more] = content;
  if (!first || area.place.kind !== 'fixed') return node;
  const { scroll } = node;
  const cut = intersection(placedBox(area.place), seen);
  if (!cut) return node;
  const drawn = placedBox(area.place);
  const across = scroll !== 'y';
  const down = scroll !== 'x';
  const viewport = {
    ...drawn,
    ...(across && { x: cut.x, width: cut.width }),
    ...(down && { y: cut.y, height: cut.height }),
  };
  const whole = boxAround([first, ...more].map(({ place }) => placedBox(place)));
  if (contains(viewport, whole, 1)) return { ...area, place: { ...area.place, ...viewport } };
  const inner: BoxNode = { ...anonymousBox(SCROLLED, node.layer, whole), children: content };
  return { ...area, place: { ...area.place, ...viewport, fitsContent: false }, children: [inner] };
}

/** The name of the box that a scroll area moves. */
const SCROLLED = 'content';

/** What a scroll area holds begins at its start, however wide the window is. */
export function pinScrolledContent(page: Page): Page {
  return { ...page, children: page.children.map(pinned) };
}

const pinned = mapBoxes((node): PageNode => {
  const inside = withChildren(node, node.children.map(pinned));
  const [only, ...more] = inside.children;
  if (node.scroll === undefined || only?.kind !== 'box' || !only.anonymous || more.length > 0) return inside;
  if (only.place.kind !== 'fixed' || !only.place.pins) return inside;
  const { pins } = only.place;
  const across = node.scroll !== 'y' && ({ x: 'start', widthMode: 'drawn' } as const);
  const place = { ...only.place, pins: { ...pins, ...across, y: 'start', heightMode: 'fit' } as const };
  return { ...inside, children: [{ ...only, place }] };
});

/** The scroll area, without the clip that it takes the place of, and what it holds. */
function areaOf(node: BoxNode): { readonly area: BoxNode; readonly content: readonly PageNode[] } {
  const { clip, ...look } = node.look;
  if (clip?.kind === 'box') return { area: { ...node, look }, content: node.children };
  const [only, ...more] = node.children;
  if (only?.kind !== 'box' || more.length > 0 || only.look.clip?.kind !== 'box' || !isPlain(node.look))
    return { area: node, content: node.children };
  const { clip: _, ...inner }: Look = only.look;
  const merged = [...(node.merged ?? []), only.layer, ...(only.merged ?? [])];
  return { area: { ...node, place: only.place, look: inner, merged }, content: only.children };
}
