import type { XmlElement } from '../../mockup/mockup';
import { LIMITS } from '../limits';
import type { XmlNode } from '../xml/node';
import { allowedElement, isAllowedAttribute, isBitmapType, mayFetch } from './allowed';
import { computeStyle, ROOT_STYLE, styleInPlace, type Computed } from './computed';
import { localId, type SvgContext } from './context';
import { readDataUri } from './dataUri';
import { PROPERTIES, type Property } from './properties';

/**
 * Keeps an element as it was drawn, its style settled into attributes, together with all that it refers to.
 * Gives the definition's name, or null when the file has no such element.
 */
export function keepDefinition(id: string, context: SvgContext): string | null {
  if (context.definitions.has(id)) return id;
  const node = context.byId.get(id);
  if (!node) return null;
  // Takes the place first, so that definitions that refer to one another end.
  const empty: XmlElement = { name: 'g', attributes: {}, children: [] };
  context.definitions.set(id, empty);
  const parent = node.parent ? styleInPlace(node.parent, context.cascade) : ROOT_STYLE;
  const kept = context.deeper(() => keepElement(node, parent, context, { id }, true));
  const weight = kept ? weigh(kept, context) : 0;
  context.weights.set(id, weight);
  if (weight > LIMITS.copies) context.report('too-many-copies', null, { limit: LIMITS.copies });
  else if (kept) context.definitions.set(id, kept);
  return id;
}

/** How many elements a viewer draws for this one, so that references to references cannot run away. */
function weigh({ attributes, children }: XmlElement, context: SvgContext): number {
  let weight = 1;
  for (const value of Object.values(attributes)) weight += context.weights.get(localId(value) ?? '') ?? 0;
  for (const child of children) if (typeof child !== 'string') weight += weigh(child, context);
  return weight;
}

/** Keeps an element under a name of its own, without its transform. */
export function keepAsDrawn(name: string, node: XmlNode, parent: Computed, context: SvgContext): string {
  const kept = keepElement(node, parent, context, { id: name }, true);
  const { transform: _, ...attributes } = kept.attributes;
  context.definitions.set(name, { ...kept, attributes });
  return name;
}

function keepElement(
  node: XmlNode,
  parent: Computed,
  context: SvgContext,
  extra: Readonly<Record<string, string>>,
  isRoot: boolean,
): XmlElement {
  const computed = computeStyle(node, parent, context.cascade);
  const attributes: Record<string, string> = {};
  for (const [name, value] of Object.entries(node.attributes)) {
    if (name === 'id' || !isAllowedAttribute(node.name, name)) continue;
    const safe = keepReference(name, value, context);
    if (safe !== null) attributes[name] = safe;
  }
  const wanted: Iterable<Property> = isRoot ? inheritedFrom(computed) : computed.declared.keys();
  for (const property of wanted) {
    const value = keepReference(property, computed.style[property], context);
    if (value !== null) attributes[property] = value;
  }
  const children = node.children.flatMap((child) => {
    if (typeof child === 'string') return child;
    const name = allowedElement(child.name, node.name);
    return name === null ? [] : { ...keepElement(child, computed, context, {}, false), name };
  });
  return { name: node.name, attributes: { ...attributes, ...extra }, children };
}

/** Everything that the root of a definition says or has inherited, so that it looks the same anywhere. */
function* inheritedFrom(computed: Computed): Generator<Property> {
  for (const property of Object.keys(PROPERTIES) as Property[]) {
    if (computed.declared.has(property)) yield property;
    else if (PROPERTIES[property].inherited && computed.style[property] !== PROPERTIES[property].initial)
      yield property;
  }
}

/** A value whose references stay inside the kept definitions; null for one that points outside. */
function keepReference(name: string, value: string, context: SvgContext): string | null {
  if (name === 'href' || name === 'xlink:href') {
    const type = readDataUri(value)?.type;
    if (type !== undefined && isBitmapType(type)) return value;
    const id = localId(value);
    return id !== null && keepDefinition(id, context) !== null ? `#${id}` : null;
  }
  if (!mayFetch(value)) return value;
  const id = localId(value);
  return id !== null && keepDefinition(id, context) !== null ? `url(#${id})` : null;
}
