import { AAPT, ANDROID } from '../../markup/androidNamespaces';
import { element, type MarkupElement } from '../../markup/element';
import { formatNumber } from '../../markup/numbers';
import type { Look, LookFill } from '../../look/look';
import { NO_RADII, pathData, type Radii } from '../../mockup/outline';
import type { Colour, GradientStop } from '../../mockup/paint';
import { dp } from './values';

interface Size {
  readonly width: number;
  readonly height: number;
}

/** The reference of a colour, as a resource. */
export type ColourReference = (colour: Colour) => string;

/** What lies behind the content of a box: a colour by itself, a drawable, or nothing. */
export type Background =
  | { readonly kind: 'none' }
  | { readonly kind: 'colour'; readonly colour: Colour }
  | { readonly kind: 'drawable'; readonly root: MarkupElement };

/** The background of a look (Android, Drawable resources: shape, layer list, vector). */
export function backgroundOf(look: Look, size: Size, colourOf: ColourReference): Background {
  const { fills = [], border, sides, radii = NO_RADII } = look;
  const isSquare = radii.every(({ x, y }) => x === 0 && y === 0);
  const [only] = fills;
  if (fills.length === 1 && only?.kind === 'solid' && isSquare && !border && !sides)
    return { kind: 'colour', colour: only.colour };
  const layers = [
    ...fills.map((fill, at) =>
      fillDrawable(fill, size, radii, at === fills.length - 1 ? border : undefined, colourOf),
    ),
    ...(fills.length === 0 && border ? [shape(radii, [stroke(border, colourOf)])] : []),
  ];
  const lines = sideItems(sides, colourOf);
  if (layers.length === 0 && lines.length === 0) return { kind: 'none' };
  const [first] = layers;
  if (layers.length === 1 && lines.length === 0) return { kind: 'drawable', root: withNames(first!) };
  const items = [...layers.map((layer) => element('item', {}, [layer])), ...lines];
  return { kind: 'drawable', root: withNames(element('layer-list', {}, items)) };
}

function withNames(root: MarkupElement): MarkupElement {
  const usesAapt = JSON.stringify(root).includes('aapt:attr');
  const names = { 'xmlns:android': ANDROID, ...(usesAapt && { 'xmlns:aapt': AAPT }) };
  return { ...root, attributes: { ...names, ...root.attributes } };
}

function stroke({ width, colour }: NonNullable<Look['border']>, colourOf: ColourReference): MarkupElement {
  return element('stroke', { 'android:width': dp(width), 'android:color': colourOf(colour) });
}

function shape(radii: Radii, inner: readonly MarkupElement[]): MarkupElement {
  const [topLeft, topRight, bottomRight, bottomLeft] = radii.map(({ x, y }) => Math.max(x, y)) as [
    number,
    number,
    number,
    number,
  ];
  const isEven = [topRight, bottomRight, bottomLeft].every((radius) => radius === topLeft);
  const corners = isEven
    ? topLeft === 0
      ? []
      : [element('corners', { 'android:radius': dp(topLeft) })]
    : [
        element('corners', {
          'android:topLeftRadius': dp(topLeft),
          'android:topRightRadius': dp(topRight),
          'android:bottomRightRadius': dp(bottomRight),
          'android:bottomLeftRadius': dp(bottomLeft),
        }),
      ];
  return element('shape', { 'android:shape': 'rectangle' }, [...inner, ...corners]);
}

/** One fill in the shape of its box: a plain shape where the platform has one, else a vector that is stretched with it. */
function fillDrawable(
  fill: LookFill,
  { width, height }: Size,
  radii: Radii,
  border: Look['border'],
  colourOf: ColourReference,
): MarkupElement {
  const lines = border ? [stroke(border, colourOf)] : [];
  if (fill.kind === 'solid')
    return shape(radii, [element('solid', { 'android:color': colourOf(fill.colour) }), ...lines]);
  const box = { x: 0, y: 0, width, height };
  const path = element(
    'path',
    {
      'android:pathData': pathData({ kind: 'rect', box, radii }),
      ...(border && {
        'android:strokeWidth': formatNumber(border.width),
        'android:strokeColor': colourOf(border.colour),
      }),
    },
    [element('aapt:attr', { name: 'android:fillColor' }, [gradient(fill, colourOf)])],
  );
  return element(
    'vector',
    {
      'android:width': dp(width),
      'android:height': dp(height),
      'android:viewportWidth': formatNumber(width),
      'android:viewportHeight': formatNumber(height),
    },
    [path],
  );
}

function gradient(fill: Exclude<LookFill, { kind: 'solid' }>, colourOf: ColourReference): MarkupElement {
  const mode = fill.repeating ? { 'android:tileMode': 'repeat' } : {};
  const stops = fill.stops.map(({ offset, colour }: GradientStop) =>
    element('item', {
      'android:offset': formatNumber(Math.min(1, Math.max(0, offset)), 4),
      'android:color': colourOf(colour),
    }),
  );
  const place =
    fill.kind === 'linear'
      ? {
          'android:type': 'linear',
          'android:startX': formatNumber(fill.from.x),
          'android:startY': formatNumber(fill.from.y),
          'android:endX': formatNumber(fill.to.x),
          'android:endY': formatNumber(fill.to.y),
        }
      : {
          'android:type': 'radial',
          'android:centerX': formatNumber(fill.centre.x),
          'android:centerY': formatNumber(fill.centre.y),
          'android:gradientRadius': formatNumber(Math.max(0.01, Math.max(fill.rx, fill.ry))),
        };
  return element('gradient', { ...place, ...mode }, stops);
}

const GRAVITY = { top: 'top', right: 'right', bottom: 'bottom', left: 'left' } as const;

/** Borders of single sides as thin layers along the edges. */
function sideItems(sides: Look['sides'], colourOf: ColourReference): readonly MarkupElement[] {
  return (['top', 'right', 'bottom', 'left'] as const).flatMap((side) => {
    const line = sides?.[side];
    if (!line) return [];
    const isAcross = side === 'top' || side === 'bottom';
    const size = { [isAcross ? 'android:height' : 'android:width']: dp(line.width) };
    return [
      element(
        'item',
        { ...size, 'android:gravity': `${GRAVITY[side]}|${isAcross ? 'fill_horizontal' : 'fill_vertical'}` },
        [element('shape', {}, [element('solid', { 'android:color': colourOf(line.colour) })])],
      ),
    ];
  });
}
