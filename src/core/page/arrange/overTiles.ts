import { isPlain, type LookFill } from '../../look/look';
import { right, type Box } from '../../mockup/box';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { isMeant } from './meaning';

/**
 * What lies over boxes beside each other, from edge to edge, and is the same all across them, as a shine on the parts of a
 * badge, is painted by each of them: then each holds what stands on it. Children in drawing order, places those of the screen.
 */
export function overTiles(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(isCover)) return children;
  const laid: PageNode[] = [];
  for (const child of children) {
    const tiles = isCover(child) ? tilesUnder(child, laid) : [];
    if (tiles.length < 2) laid.push(child);
    else laid.splice(-tiles.length, tiles.length, ...painted(tiles, child));
  }
  return laid;
}

function painted(tiles: readonly BoxNode[], cover: PageNode): readonly BoxNode[] {
  return tiles.map((tile, at) => ({
    ...tile,
    ...(at === 0 && { merged: [...(tile.merged ?? []), cover.layer, ...(cover.merged ?? [])] }),
    look: { fills: [...tile.look.fills!, ...cover.look.fills!.map((fill) => within(fill, tile.place))] },
  }));
}

function within(fill: LookFill, { width, height }: Box): LookFill {
  return fill.kind === 'linear' ? { ...fill, width, height } : fill;
}

/** True for a box that shows nothing but fills, and has nothing in it. */
function isTile(node: PageNode | undefined): node is BoxNode {
  if (node?.kind !== 'box' || node.children.length > 0 || node.place.turn || isMeant(node)) return false;
  const { fills = [], ...others } = node.look;
  return fills.length > 0 && isPlain(others);
}

/** True for a box whose fills are the same all across. */
function isCover(node: PageNode): boolean {
  if (!isTile(node)) return false;
  return node.look.fills!.every((fill) => {
    if (fill.kind !== 'linear') return fill.kind === 'solid' && fill.colour.alpha < 1;
    return Math.abs(fill.from.x - fill.to.x) < EDGE;
  });
}

/** Px by which edges may miss each other. */
const EDGE = 0.02;

/** The last boxes before a cover that lie under it from edge to edge; none where they leave something open. */
function tilesUnder(cover: PageNode, laid: readonly PageNode[]): readonly BoxNode[] {
  const around = placedBox(cover.place);
  const tiles: BoxNode[] = [];
  for (let at = laid.length - 1; at >= 0; at--) {
    const node = laid[at];
    if (!isTile(node) || !isAsHigh(placedBox(node.place), around)) break;
    tiles.unshift(node);
    const boxes = tiles.map(({ place }) => placedBox(place)).toSorted((one, other) => one.x - other.x);
    const ends = [around.x, ...boxes.map(right)];
    const starts = [...boxes.map(({ x }) => x), right(around)];
    if (starts.every((start, index) => Math.abs(start - ends[index]!) <= EDGE)) return tiles;
  }
  return [];
}

function isAsHigh(box: Box, around: Box): boolean {
  return Math.abs(box.y - around.y) <= EDGE && Math.abs(box.height - around.height) <= EDGE;
}
