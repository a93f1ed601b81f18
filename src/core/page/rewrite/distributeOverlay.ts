import { EXACT } from '../tolerances';
import { isPlain, type LookFill } from '../../look/look';
import { right, type Box } from '../../mockup/box';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { hasSemantics } from '../semantics';

/**
 * An overlay across adjacent boxes, uniform along them, is painted by each of the boxes, as the shine over a
 * badge. Each box can then hold its own content. Children are in drawing order, places are px of the screen.
 */
export function distributeOverlay(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(isCover)) return children;
  const laid: PageNode[] = [];
  for (const child of children) {
    const tiles = isCover(child) ? tilesUnder(child, laid) : [];
    if (tiles.length < 2) laid.push(child);
    else laid.splice(-tiles.length, tiles.length, ...paintOver(tiles, child));
  }
  return laid;
}

function paintOver(tiles: readonly BoxNode[], cover: PageNode): readonly BoxNode[] {
  return tiles.map((tile, at) => ({
    ...tile,
    ...(at === 0 && { merged: [...(tile.merged ?? []), cover.layer, ...(cover.merged ?? [])] }),
    look: { fills: [...tile.look.fills!, ...cover.look.fills!.map((fill) => within(fill, tile.place))] },
  }));
}

function within(fill: LookFill, { width, height }: Box): LookFill {
  return fill.kind === 'linear' ? { ...fill, width, height } : fill;
}

/** True for a box with nothing but fills, and without content. */
function isTile(node: PageNode | undefined): node is BoxNode {
  if (node?.kind !== 'box' || node.children.length > 0 || node.place.linear || hasSemantics(node))
    return false;
  const { fills = [], ...others } = node.look;
  return fills.length > 0 && isPlain(others);
}

/** True for a box whose fills are uniform along x. */
function isCover(node: PageNode): boolean {
  if (!isTile(node)) return false;
  return node.look.fills!.every((fill) => {
    if (fill.kind !== 'linear') return fill.kind === 'solid' && fill.colour.alpha < 1;
    return Math.abs(fill.from.x - fill.to.x) < EXACT;
  });
}

/** The boxes directly before an overlay that it covers from edge to edge; none where they leave a gap. */
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
    if (starts.every((start, index) => Math.abs(start - ends[index]!) <= EXACT)) return tiles;
  }
  return [];
}

function isAsHigh(box: Box, around: Box): boolean {
  return Math.abs(box.y - around.y) <= EXACT && Math.abs(box.height - around.height) <= EXACT;
}
