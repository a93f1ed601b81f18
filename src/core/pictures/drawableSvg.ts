import { element, type MarkupElement } from '../markup/element';
import { printXml } from '../markup/printXml';
import { elementsIn, type XmlNode } from '../read/xml/node';
import { parseXml } from '../read/xml/parseXml';

/**
 * What a vector drawable shows, as an SVG (Android, `VectorDrawable` and `GradientColor`: what their attributes mean).
 * @param xml a drawable as Orden writes it, without groups
 * @throws Error for a file that is no XML
 */
export function drawableSvg(xml: string): string {
  // The reader keeps attributes of the namespaces of SVG alone.
  const root = parseXml(xml.replace(/(?<=\s)android:/g, ''));
  const gradients: MarkupElement[] = [];
  const paths = elementsIn(root).map((path) => pathElement(path, gradients));
  const size = { width: said(root, 'viewportWidth'), height: said(root, 'viewportHeight') };
  return printXml(
    element('svg', { xmlns: 'http://www.w3.org/2000/svg', ...size }, [
      element('defs', {}, gradients),
      ...paths,
    ]),
  );
}

/** An attribute; null for none. */
function said({ attributes }: XmlNode, name: string): string | null {
  return attributes[name] ?? null;
}

function pathElement(path: XmlNode, gradients: MarkupElement[]): MarkupElement {
  const paint = (name: string): string => {
    const own = elementsIn(path).find(({ attributes }) => attributes.name === `android:${name}`);
    const [gradient] = own ? elementsIn(own) : [];
    if (!gradient) return cssColour(said(path, name) ?? '#00000000');
    gradients.push(gradientElement(gradient, `paint-${gradients.length}`));
    return `url(#paint-${gradients.length - 1})`;
  };
  return element('path', {
    d: said(path, 'pathData'),
    fill: paint('fillColor'),
    'fill-rule': said(path, 'fillType') === 'evenOdd' ? 'evenodd' : null,
    stroke: paint('strokeColor'),
    'stroke-width': said(path, 'strokeWidth') ?? '0',
    'stroke-linecap': said(path, 'strokeLineCap'),
    'stroke-linejoin': said(path, 'strokeLineJoin'),
    'stroke-miterlimit': said(path, 'strokeMiterLimit'),
  });
}

const SPREADS: Readonly<Record<string, string>> = { repeat: 'repeat', mirror: 'reflect' };

function gradientElement(gradient: XmlNode, id: string): MarkupElement {
  const stops = elementsIn(gradient).map((stop) =>
    element('stop', { offset: said(stop, 'offset'), 'stop-color': cssColour(said(stop, 'color') ?? '#000') }),
  );
  const common = {
    id,
    gradientUnits: 'userSpaceOnUse',
    spreadMethod: SPREADS[said(gradient, 'tileMode') ?? ''],
  };
  if (said(gradient, 'type') === 'radial') {
    const centre = { cx: said(gradient, 'centerX'), cy: said(gradient, 'centerY') };
    return element('radialGradient', { ...common, ...centre, r: said(gradient, 'gradientRadius') }, stops);
  }
  const from = { x1: said(gradient, 'startX'), y1: said(gradient, 'startY') };
  const to = { x2: said(gradient, 'endX'), y2: said(gradient, 'endY') };
  return element('linearGradient', { ...common, ...from, ...to }, stops);
}

/** `#aarrggbb` as CSS writes it, with its alpha last (CSS Color 4, §5.2). */
function cssColour(colour: string): string {
  return colour.length === 9 ? `#${colour.slice(3)}${colour.slice(1, 3)}` : colour;
}
