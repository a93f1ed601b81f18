import { isFieldRole, isInteractiveElement, roleEntry } from '../sort/vocabulary';
import { memoizeByObject } from '../mockup/memoize';
import type { BoxNode, PageNode, TextNode } from './node';

/** True for a box whose text is the value of an input. */
export function isField(node: PageNode): boolean {
  return node.kind === 'box' && isFieldRole(node.role);
}

/** The text of a field that becomes its value; a button or a text with a background stands beside it. */
export function valueOf({ children }: BoxNode): TextNode | null {
  return children.find(isValue) ?? null;
}

/** True for words of a field that can be its value. */
export function isValue(node: PageNode): node is TextNode {
  if (node.kind !== 'text' || node.lines.some(({ at }) => at !== null)) return false;
  return !isInteractiveElement(roleEntry(node.role).element) && node.look.fills === undefined;
}

/** Px: a higher field has several lines. */
const ONE_LINE = 72;

/** True for a field of several lines. */
export function hasSeveralLines({ role, place }: BoxNode): boolean {
  return role === 'field' && place.height >= ONE_LINE;
}

/** The value of a field at the place of its control, which has the room that the field leaves; null for none. */
export const controlOf = memoizeByObject((field: BoxNode): TextNode | null => {
  const value = isField(field) ? valueOf(field) : null;
  return value && { ...value, place: controlPlace(field, value) };
});

function controlPlace(field: BoxNode, { place }: TextNode): TextNode['place'] {
  const height = hasSeveralLines(field) ? heightIn(field, place) : {};
  if (place.kind === 'flow') return { ...place, widthMode: 'full', heightMode: 'drawn', ...height };
  const others = field.children.filter((child) => !isValue(child) && child.place.x > place.x);
  const end = Math.min(field.place.width - place.x, ...others.map((child) => child.place.x));
  const width = Math.max(place.width, end - place.x);
  return { ...place, width, fitsContent: false, ...height };
}

/** A text area is as high as its field, apart from what is free above it. */
function heightIn(field: BoxNode, { y, height }: { readonly y: number; readonly height: number }) {
  const top = Math.max(0, Math.min(y - field.place.y, y, 24));
  return { height: Math.max(height, field.place.height - 2 * top) };
}
