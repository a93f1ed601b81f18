import { ofBoxes, withChildren } from '../ofBoxes';
import { isMade, madeBox } from '../made';
import { placedBox } from '../placed';
import { NO_MARGIN, type BoxNode, type Page, type PageNode, type Place } from '../node';
import { STACK } from './flow/stand';

/** A list holds items only (HTML, §4.4.8): anything else in it becomes one, or is put into one that stands in its place. */
export function itemsInLists(page: Page): Page {
  return { ...page, children: page.children.map(settle) };
}

const settle = ofBoxes(settleAnew);

function settleAnew(node: BoxNode): PageNode {
  const children = node.children.map(settle);
  if (node.role !== 'list') return withChildren(node, children);
  // A ground that took all items in is the list.
  if (children.some(holdsItems))
    return {
      ...node,
      role: 'box',
      children: children.map((child) =>
        holdsItems(child) ? settleAnew({ ...child, role: 'list' }) : asBox(child),
      ),
    };
  // A list that was cut into rows holds rows, not items: it is boxes.
  const isCut = children.some((child) => isMade(child) && child.kind === 'box' && child.children.length > 0);
  return isCut
    ? { ...node, role: 'box', children: children.map(asBox) }
    : { ...node, children: children.map(asItem) };
}

function holdsItems(node: PageNode): node is BoxNode {
  return (
    node.kind === 'box' &&
    node.role === 'box' &&
    !isMade(node) &&
    node.children.some(({ role }) => role === 'item')
  );
}

function asBox(node: PageNode): PageNode {
  if (node.kind !== 'box') return node;
  const plain: BoxNode = node.role === 'item' ? { ...node, role: 'box' } : node;
  return isMade(plain) ? { ...plain, children: plain.children.map(asBox) } : plain;
}

function asItem(node: PageNode): PageNode {
  if (node.role === 'item') return node;
  if (node.kind === 'box' && node.role === 'box') return { ...node, role: 'item' };
  const flows = node.place.kind === 'flow';
  return {
    ...madeBox('item', node.layer, placedBox(node.place)),
    role: 'item',
    place: flows ? { ...node.place, turn: null } : node.place,
    ...(flows && { layout: { ...STACK, align: node.kind === 'picture' ? 'start' : 'stretch' } }),
    children: [{ ...node, place: inItem(node.place) }],
  };
}

/** The item stands where the node stood; the node fills it. */
function inItem(place: Place): Place {
  if (place.kind === 'flow') return { ...place, wide: 'hug', high: 'hug', align: null, margin: NO_MARGIN };
  const { holds: _, shift: __, ...whole } = place;
  return { ...whole, turn: null };
}
