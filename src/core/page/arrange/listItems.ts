import { mapBoxes, withChildren } from '../mapBoxes';
import { isAnonymous, anonymousBox } from '../anonymousBox';
import { placedBox } from '../placed';
import { NO_MARGIN, type Place } from '../place';
import type { BoxNode, PageNode } from '../node';
import type { Page } from '../frame';
import { isListRole } from '../../sort/vocabulary';
import { COLUMN_LAYOUT } from './flow/sizing';

/**
 * A list holds only items (HTML, §4.4.8): any other child becomes an item, or is wrapped in one at its place.
 */
export function wrapListItems(page: Page): Page {
  return { ...page, children: page.children.map(wrapItems) };
}

const wrapItems = mapBoxes(wrapItemsOf);

function wrapItemsOf(node: BoxNode): PageNode {
  const children = node.children.map(wrapItems);
  if (!isListRole(node.role)) return withChildren(node, children);
  // A background that took in all items becomes the list.
  if (children.some(holdsItems))
    return {
      ...node,
      role: 'box',
      children: children.map((child) =>
        holdsItems(child) ? wrapItemsOf({ ...child, role: node.role }) : asBox(child),
      ),
    };
  // A list that was cut into rows holds rows, not items: it becomes a box.
  const isCut = children.some(
    (child) => isAnonymous(child) && child.kind === 'box' && child.children.length > 0,
  );
  return isCut
    ? { ...node, role: 'box', children: children.map(asBox) }
    : { ...node, children: children.map(asItem) };
}

function holdsItems(node: PageNode): node is BoxNode {
  return (
    node.kind === 'box' &&
    node.role === 'box' &&
    !isAnonymous(node) &&
    node.children.some(({ role }) => role === 'item')
  );
}

function asBox(node: PageNode): PageNode {
  if (node.kind !== 'box') return node;
  const plain: BoxNode = node.role === 'item' ? { ...node, role: 'box' } : node;
  return isAnonymous(plain) ? { ...plain, children: plain.children.map(asBox) } : plain;
}

function asItem(node: PageNode): PageNode {
  if (node.role === 'item') return node;
  if (node.kind === 'box' && node.role === 'box') return { ...node, role: 'item' };
  const flows = node.place.kind === 'flow';
  return {
    ...anonymousBox('item', node.layer, placedBox(node.place)),
    role: 'item',
    place: flows ? { ...node.place, linear: null } : node.place,
    ...(flows && { layout: { ...COLUMN_LAYOUT, align: node.kind === 'picture' ? 'start' : 'stretch' } }),
    children: [{ ...node, place: inItem(node.place) }],
  };
}

/** The item takes the place of the node; the node fills the item. */
function inItem(place: Place): Place {
  if (place.kind === 'flow')
    return { ...place, widthMode: 'fit', heightMode: 'fit', align: null, margin: NO_MARGIN };
  const { pins: _, subpixelShift: __, ...whole } = place;
  return { ...whole, linear: null };
}
