import { element, type MarkupElement } from '../markup/element';
import { memoizeText } from '../mockup/memoize';
import { elementsIn, type XmlNode } from '../read/xml/node';
import { parseXml } from '../read/xml/parseXml';

/** A drawing of one colour, which takes the colour of what is around it. */
export interface IconSymbol {
  /** The colour that it is drawn in, as its SVG writes it. */
  readonly colour: string;
  readonly viewBox: string;
  readonly content: readonly MarkupElement[];
}

/** A symbol that pages hold. */
export interface Icon extends IconSymbol {
  readonly id: string;
}

/** Symbols that pages hold, by the names of their pictures. */
export type Icons = ReadonlyMap<string, Icon>;

/** Common practice, no source: what is drawn larger is an illustration. Px. */
const LARGEST = 40;

const SHAPES: ReadonlySet<string> = new Set('g path rect circle ellipse line polygon polyline'.split(' '));

/** Attributes whose value is a paint (SVG 2, §13.2). */
const PAINTS: ReadonlySet<string> = new Set(['fill', 'stroke']);

/**
 * The SVG of an icon as a symbol in `currentColor` (CSS Color 4, §9.2).
 * @returns null for a larger drawing, for one of several colours, and for one of more than plain shapes
 */
export const iconSymbol = memoizeText((svg: string): IconSymbol | null => {
  const root = parseXml(svg);
  const { width, height, viewBox } = root.attributes;
  if (viewBox === undefined || Math.max(Number(width), Number(height)) > LARGEST) return null;
  const colours = new Set<string>();
  const content = elementsIn(root).map((each) => inCurrentColour(each, colours));
  const [colour, ...others] = colours;
  if (colour === undefined || others.length > 0 || content.includes(null)) return null;
  return { colour, viewBox, content: content.filter((each) => each !== null) };
});

/** A shape with its colour as `currentColor`; null for what is no plain shape. */
function inCurrentColour(node: XmlNode, colours: Set<string>): MarkupElement | null {
  const said = Object.entries(node.attributes);
  if (!SHAPES.has(node.name) || said.some(([name, value]) => name === 'id' || value.includes('url(')))
    return null;
  if (said.some(([name]) => name === 'style' || name === 'class')) return null;
  const isShape = node.name !== 'g';
  const attributes = Object.fromEntries(
    said.map(([name, value]) => {
      if (!PAINTS.has(name) || value === 'none') return [name, value];
      colours.add(value);
      return [name, 'currentColor'];
    }),
  );
  // What says no fill is black unless something around says another (SVG 2, §13.3).
  if (isShape && attributes.fill === undefined && !hasFillAround(node)) return null;
  const children = elementsIn(node).map((each) => inCurrentColour(each, colours));
  if (children.includes(null)) return null;
  return element(
    node.name,
    attributes,
    children.filter((each) => each !== null),
  );
}

function hasFillAround({ parent }: XmlNode): boolean {
  return parent !== null && (parent.attributes.fill !== undefined || hasFillAround(parent));
}
