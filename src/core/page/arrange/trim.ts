import { isPlain } from '../../look/look';
import { right } from '../../mockup/box';
import { lastMade } from '../../mockup/remember';
import { placedBox } from '../lower';
import type { Page, PageNode } from '../node';

/**
 * Groups that show nothing by themselves end at the sides of the screen: what is drawn past them sticks out of its group,
 * and does not shift everything else in it. Places are those of the screen.
 */
export function trimGroups(page: Page): Page {
  return { ...page, children: page.children.map((node) => trim(node, page.width)) };
}

const lastTrimmed = lastMade<PageNode, PageNode>();

function trim(node: PageNode, width: number): PageNode {
  if (node.kind !== 'box' || node.place.turn) return node;
  return lastTrimmed(node, [width], () => {
    const children = node.children.map((child) => trim(child, width));
    const place = isPlain(node.look) ? within(node, width) : node.place;
    const isSame = place === node.place && children.every((child, at) => child === node.children[at]);
    return isSame ? node : { ...node, place, children };
  });
}

function within({ place }: PageNode, width: number): PageNode['place'] {
  const box = placedBox(place);
  const [from, to] = [Math.max(0, box.x), Math.min(width, right(box))];
  const isOff = to <= from || (from === box.x && to === right(box));
  return isOff ? place : { ...place, x: from, width: to - from };
}
