import type { Layer, LayerId } from '../../mockup/layer';
import { IDENTITY, meanScale } from '../../mockup/matrix';
import { elementsIn, type XmlNode } from '../xml/node';
import { computeStyle } from './computed';
import type { Here } from './context';
import { readIdName, readName } from './names';
import { settleVisibility } from './visibility';
import { isShapeElement } from './outlines';
import { parseTransform } from './transforms';
import { readGroup, readSwitch } from './elements/group';
import { readNestedSvg } from './elements/viewport';
import { readUse } from './elements/use';
import { readImage } from './elements/image';
import { readText } from './elements/text';
import { readShape } from './elements/shape';
import { reportUnread } from './elements/unread';

/** Reads one element; null when it draws nothing. `id` is the layer's own, already taken. */
type ElementReader = (node: XmlNode, here: Here, id: LayerId) => Layer | null;

const ELEMENTS: Readonly<Record<string, ElementReader>> = {
  g: (node, here, id) => readGroup(node, here, id, IDENTITY),
  a: (node, here, id) => readGroup(node, here, id, IDENTITY),
  switch: readSwitch,
  svg: readNestedSvg,
  use: readUse,
  image: readImage,
  text: readText,
};

/** Reads the children of `node`, in drawing order. */
export function readChildren(node: XmlNode, here: Here): Layer[] {
  return elementsIn(node).flatMap((child) => readElement(child, here) ?? []);
}

/** Reads an element inside the surroundings `around`; an unknown element becomes a finding. */
export function readElement(node: XmlNode, around: Here): Layer | null {
  const { context } = around;
  const reader = ELEMENTS[node.name] ?? (isShapeElement(node.name) ? readShape : undefined);
  if (!reader) {
    reportUnread(node, around);
    return null;
  }
  if (around.using.length > 0 && !context.countCopy()) return null;
  context.progress();
  const computed = computeStyle(node, around.computed, context.cascade);
  const id = context.ids.next(around.parent, readName(node), kindOf(node.name), readIdName(node));
  context.onLayer(id, node);
  reportHandlers(node, context, id);
  const scale = around.scale * meanScale(parseTransform(computed.style.transform) ?? IDENTITY);
  const layer = context.deeper(() => reader(node, { ...around, computed, parent: id, scale }, id));
  return layer && settleVisibility(layer, computed, around);
}

function reportHandlers(node: XmlNode, { report }: Here['context'], id: LayerId): void {
  const handlers: string[] = [];
  for (const name in node.attributes) if (/^on[a-z]/i.test(name)) handlers.push(name);
  if (handlers.length > 0) report('handler-removed', id, { name: handlers.join(', ') });
}

function kindOf(element: string): string {
  return { g: 'group', a: 'link', use: 'copy', svg: 'group', switch: 'group' }[element] ?? element;
}
