import { element, type MarkupElement } from '../../markup/element';
import { borderInsets, type Look, type LookFill, type LookShadow } from '../../look/look';
import { hasRadii, NO_RADII, pathData, type Radii } from '../../mockup/outline';
import type { GradientStop } from '../../mockup/paint';
import { qmlColour, qmlNumber, qmlString } from './values';

interface Size {
  readonly width: number;
  readonly height: number;
}

type Properties = Readonly<Record<string, string>>;

/** What a box paints: properties of its own rectangle, and what lies beneath its content. */
export interface BoxPaint {
  /** True where a plain `Item` is enough. */
  readonly isEmpty: boolean;
  readonly properties: Properties;
  readonly beneath: readonly MarkupElement[];
}

/** The fills, border, corners and shadows of a box. */
export function boxPaint(look: Look, size: Size): BoxPaint {
  const { fills = [], border, sides, radii = NO_RADII, shadows = [] } = look;
  const radius = evenRadius(radii);
  const thrown = shadows.filter(({ inset }) => !inset).toReversed();
  const beneath = thrown.map((shadow) => shadowObject(shadow, radii));
  const isRectangle = radius !== null;
  const [first, ...more] = fills;
  const own = isRectangle && first ? rectangleFill(first, size) : null;
  const others = own ? more : fills;
  const lines = isRectangle && border ? borderProperties(look) : {};
  const shapes = [
    ...others.map((fill) => fillShape(fill, size, radii)),
    ...(border && !isRectangle ? [borderShape(look, size)] : []),
    ...sideLines(sides),
  ];
  const isEmpty = !own && Object.keys(lines).length === 0;
  return {
    isEmpty,
    properties: {
      ...(own?.properties ?? (isEmpty ? {} : { color: '"transparent"' })),
      ...(radius && !isEmpty ? { radius: qmlNumber(radius) } : {}),
      ...lines,
    },
    beneath: [...beneath, ...(own?.gradient ? [own.gradient] : []), ...shapes],
  };
}

/** The radius of four equal round corners; null for others. */
function evenRadius(radii: Radii): number | null {
  const [first, ...others] = radii;
  const isEven = first.x === first.y && others.every(({ x, y }) => x === first.x && y === first.y);
  return isEven ? first.x : null;
}

function borderProperties({ border }: Look): Properties {
  if (!border) return {};
  return { 'border.width': qmlNumber(border.width), 'border.color': qmlColour(border.colour) };
}

interface RectangleFill {
  readonly properties: Properties;
  readonly gradient: MarkupElement | null;
}

/** A fill that a rectangle has itself: one colour, or a gradient across or down. */
function rectangleFill(fill: LookFill, { width, height }: Size): RectangleFill | null {
  if (fill.kind === 'solid') return { properties: { color: qmlColour(fill.colour) }, gradient: null };
  if (fill.kind !== 'linear' || fill.repeating) return null;
  const { from, to } = fill;
  const isDown = Math.abs(from.x - to.x) < 0.01 && to.y > from.y;
  const isAcross = Math.abs(from.y - to.y) < 0.01 && to.x > from.x;
  if (!isDown && !isAcross) return null;
  const [start, end, length] = isDown ? [from.y, to.y, height] : [from.x, to.x, width];
  const stops = fill.stops.map(({ offset, colour }) => ({
    colour,
    offset: (start + offset * (end - start)) / length,
  }));
  if (stops.some(({ offset }) => offset < -0.001 || offset > 1.001)) return null;
  const gradient = element(
    'gradient: Gradient',
    isDown ? {} : { orientation: 'Gradient.Horizontal' },
    stopObjects(stops),
  );
  return { properties: {}, gradient };
}

function stopObjects(stops: readonly GradientStop[]): readonly MarkupElement[] {
  return stops.map(({ offset, colour }) =>
    element('GradientStop', {
      position: qmlNumber(Math.min(1, Math.max(0, offset))),
      color: qmlColour(colour),
    }),
  );
}

/** A fill as a shape: gradients that a rectangle does not have, and corners that differ. */
function fillShape(fill: LookFill, { width, height }: Size, radii: Radii): MarkupElement {
  const box = { x: 0, y: 0, width, height };
  const isOval = fill.kind === 'radial' && fill.rx !== fill.ry && fill.rx > 0;
  const down = isOval ? fill.ry / fill.rx : 1;
  const outline = {
    kind: 'rect' as const,
    box: { ...box, height: height / down },
    radii: radii.map(({ x, y }) => ({ x, y: y / down })) as unknown as Radii,
  };
  const [properties, gradient] = shapeFill(fill, down);
  const path = element('ShapePath', { strokeWidth: '-1', ...properties }, [
    ...gradient,
    element('PathSvg', { path: qmlString(pathData(outline)) }),
  ]);
  return element(
    'Shape',
    isOval
      ? {
          width: qmlNumber(width),
          height: qmlNumber(height / down),
          transform: `Scale { yScale: ${qmlNumber(down)} }`,
        }
      : { 'anchors.fill': 'parent' },
    [path],
  );
}

function shapeFill(fill: LookFill, down: number): readonly [Properties, readonly MarkupElement[]] {
  if (fill.kind === 'solid') return [{ fillColor: qmlColour(fill.colour) }, []];
  const spread = fill.repeating ? { spread: 'ShapeGradient.RepeatSpread' } : {};
  const stops = stopObjects(fill.stops);
  if (fill.kind === 'linear') {
    const { from, to } = fill;
    const ends = { x1: qmlNumber(from.x), y1: qmlNumber(from.y), x2: qmlNumber(to.x), y2: qmlNumber(to.y) };
    return [{}, [element('fillGradient: LinearGradient', { ...spread, ...ends }, stops)]];
  }
  const [x, y] = [qmlNumber(fill.centre.x), qmlNumber(fill.centre.y / down)];
  const circle = { centerX: x, centerY: y, centerRadius: qmlNumber(fill.rx), focalX: x, focalY: y };
  return [{}, [element('fillGradient: RadialGradient', { ...spread, ...circle }, stops)]];
}

/** A border along corners that differ: a line in the middle of its width. */
function borderShape({ border, radii = NO_RADII }: Look, { width, height }: Size): MarkupElement {
  const line = border!.width;
  const box = { x: line / 2, y: line / 2, width: width - line, height: height - line };
  const inner = radii.map(({ x, y }) => ({ x: Math.max(0, x - line / 2), y: Math.max(0, y - line / 2) }));
  const path = pathData({ kind: 'rect', box, radii: inner as unknown as Radii });
  return element('Shape', { 'anchors.fill': 'parent' }, [
    element(
      'ShapePath',
      { strokeWidth: qmlNumber(line), strokeColor: qmlColour(border!.colour), fillColor: '"transparent"' },
      [element('PathSvg', { path: qmlString(path) })],
    ),
  ]);
}

/** Borders of single sides, each a thin rectangle. */
function sideLines(sides: Look['sides']): readonly MarkupElement[] {
  if (!sides) return [];
  return (['top', 'right', 'bottom', 'left'] as const).flatMap((side) => {
    const line = sides[side];
    if (!line) return [];
    const isAcross = side === 'top' || side === 'bottom';
    const ends = isAcross ? (['left', 'right'] as const) : (['top', 'bottom'] as const);
    const anchors = Object.fromEntries([side, ...ends].map((edge) => [`anchors.${edge}`, `parent.${edge}`]));
    return [
      element('Rectangle', {
        ...anchors,
        [isAcross ? 'height' : 'width']: qmlNumber(line.width),
        color: qmlColour(line.colour),
      }),
    ];
  });
}

function shadowObject({ dx, dy, deviation, spread, colour }: LookShadow, radii: Radii): MarkupElement {
  return element('BoxShadow', {
    z: '-1',
    x: qmlNumber(dx) === '0' ? null : qmlNumber(dx),
    y: qmlNumber(dy) === '0' ? null : qmlNumber(dy),
    width: 'parent.width',
    height: 'parent.height',
    radius: hasRadii(radii) ? qmlNumber(Math.max(...radii.map(({ x }) => x))) : null,
    deviation: qmlNumber(deviation),
    spread: spread === 0 ? null : qmlNumber(spread),
    color: qmlColour(colour),
  });
}

/** How far the content of a box is from its edges, px: in CSS coordinates begin inside of the border. */
export function contentCorner(look: Look): { readonly x: number; readonly y: number } {
  const { left, top } = borderInsets(look);
  return { x: left, y: top };
}
