import {
  wholeBorderWidth,
  type Border,
  type Look,
  type LookClip,
  type LookFill,
  type LookShadow,
  type Sides,
  type TextShadow,
  type TypeLook,
} from '../../look/look';
import { printColour } from '../../markup/colours';
import { printFunction } from '../../markup/filterFunctions';
import { formatNumber, px, verticalPx } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import type { Radii } from '../../mockup/outline';
import type { GradientStop } from '../../mockup/paint';
import type { StyleClass } from '../../style/styleSheet';
import { layoutDeclarations, printEdges } from './placing';
import { commonPlacement } from './sharedPlacement';
import { quoteFamily } from '../../markup/families';

const SIDES = ['top', 'right', 'bottom', 'left'] as const;

function printBorder(border: Border): string {
  return `${px(wholeBorderWidth(border))} solid ${printColour(border.colour)}`;
}

/** The look as CSS declarations, in a fixed order. */
export function lookDeclarations(look: Look): Declaration[] {
  const list: (Declaration | null)[] = [
    look.fills ? ['background', printFills(look.fills, look.fillInset)] : null,
    look.fillInset === undefined ? null : ['padding', px(look.fillInset)],
    look.padding ? ['padding', printEdges(look.padding)] : null,
    look.border ? ['border', printBorder(look.border)] : null,
    ...(look.sides ? sidesDeclarations(look.sides) : []),
    look.radii ? ['border-radius', printRadii(look.radii)] : null,
    look.shadows ? ['box-shadow', look.shadows.map(printBoxShadow).join(', ')] : null,
    look.filters ? ['filter', look.filters.map(printFunction).join(' ')] : null,
    look.opacity === undefined ? null : ['opacity', formatNumber(look.opacity)],
    look.blend ? ['mix-blend-mode', look.blend] : null,
    look.isolated ? ['isolation', 'isolate'] : null,
    look.clip ? printClip(look.clip) : null,
  ];
  return [...list.filter((entry) => entry !== null), ...(look.type ? typeDeclarations(look.type) : [])];
}

/** Borders of single sides; where all sides have one, the commonest first (CSS Backgrounds 3, §3.4). */
function sidesDeclarations(sides: Sides): Declaration[] {
  const said = SIDES.flatMap((side) => {
    const border = sides[side];
    return border ? [{ side, border: printBorder(border) }] : [];
  });
  const timesSaid = (border: string) => said.filter((each) => each.border === border).length;
  const [common] = said.toSorted((one, other) => timesSaid(other.border) - timesSaid(one.border));
  const isWhole = common !== undefined && said.length === SIDES.length && timesSaid(common.border) > 1;
  const own = isWhole ? said.filter(({ border }) => border !== common.border) : said;
  return [
    ...(isWhole ? [['border', common.border] as const] : []),
    ...own.map(({ side, border }): Declaration => [`border-${side}`, border]),
  ];
}

/** All declarations of a class. */
export function classDeclarations({ look, layout, placements }: StyleClass): Declaration[] {
  return [
    ...(layout ? layoutDeclarations(layout, look.type?.rightToLeft) : []),
    ...commonPlacement(placements),
    ...lookDeclarations(look),
  ];
}

function typeDeclarations(type: TypeLook): Declaration[] {
  const height = type.lineHeight === null ? '1' : verticalPx(type.lineHeight);
  const list: (Declaration | null)[] = [
    ...fontDeclarations(type, height),
    type.letterSpacing === 0 ? null : ['letter-spacing', px(type.letterSpacing)],
    type.wordSpacing === 0 ? null : ['word-spacing', px(type.wordSpacing)],
    type.decorations.length > 0 ? ['text-decoration', type.decorations.join(' ')] : null,
    type.baselineShift === 0 ? null : ['position', 'relative'],
    type.baselineShift === 0 ? null : ['top', px(-type.baselineShift)],
    ['color', type.colour ? printColour(type.colour) : 'transparent'],
    type.outline
      ? ['-webkit-text-stroke', `${px(type.outline.width)} ${printColour(type.outline.colour)}`]
      : null,
    type.shadows ? ['text-shadow', type.shadows.map(printTextShadow).join(', ')] : null,
    type.outline && type.outlineFirst ? ['paint-order', 'stroke'] : null,
    type.rightToLeft ? ['direction', 'rtl'] : null,
    type.align === 'start' ? null : ['text-align', type.align === 'middle' ? 'center' : 'end'],
    type.keepsSpaces ? ['white-space', 'pre'] : type.keepsLine ? ['white-space', 'nowrap'] : null,
    type.exact ? ['text-rendering', 'geometricPrecision'] : null,
  ];
  return list.filter((entry) => entry !== null);
}

/** The parts of a font; the browser's default one has no name. */
function fontDeclarations(type: TypeLook, height: string): Declaration[] {
  const family = type.families.map(quoteFamily).join(', ');
  const list: (Declaration | null)[] = [
    type.italic ? ['font-style', 'italic'] : null,
    type.smallCaps ? ['font-variant', 'small-caps'] : null,
    type.weight === 400 ? null : ['font-weight', String(type.weight)],
    ['font-size', px(type.size)],
    ['line-height', height],
    family ? ['font-family', family] : null,
  ];
  return list.filter((entry) => entry !== null);
}

/** The topmost first; inset fills start at the padding box (CSS Backgrounds 3, §2.6–2.8). */
function printFills(fills: readonly LookFill[], inset: number | undefined): string {
  const reach = inset === undefined ? '' : ' content-box';
  return fills
    .toReversed()
    .map((fill) => `${printFill(fill)}${reach}`)
    .join(', ');
}

function printFill(fill: LookFill): string {
  switch (fill.kind) {
    case 'solid':
      return printColour(fill.colour);
    case 'linear':
      return printLinear(fill);
    case 'radial': {
      const size = fill.rx === fill.ry ? px(fill.rx) : `${px(fill.rx)} ${px(fill.ry)}`;
      const stops = fill.stops.map((stop) => `${printColour(stop.colour)} ${percent(stop.offset)}`);
      const name = fill.repeating ? 'repeating-radial-gradient' : 'radial-gradient';
      return `${name}(${size} at ${px(fill.centre.x)} ${px(fill.centre.y)}, ${stops.join(', ')})`;
    }
  }
}

/**
 * CSS measures a linear gradient along a line through the middle of the box, |w·sin θ| + |h·cos θ| long
 * (CSS Images 3, §3.4.2); the stops are moved to where SVG puts them.
 */
function printLinear(fill: Extract<LookFill, { kind: 'linear' }>): string {
  const [dx, dy] = [fill.to.x - fill.from.x, fill.to.y - fill.from.y];
  const length = Math.hypot(dx, dy);
  const [ux, uy] = [dx / length, dy / length];
  const line = Math.abs(fill.width * ux) + Math.abs(fill.height * uy);
  const start = (fill.from.x - fill.width / 2) * ux + (fill.from.y - fill.height / 2) * uy + line / 2;
  const degrees = (Math.atan2(dx, -dy) * 180) / Math.PI;
  const angle = `${formatNumber((degrees + 360) % 360, 2)}deg`;
  if (fill.repeating) {
    const stops = fill.stops.map((stop) => `${printColour(stop.colour)} ${px(start + stop.offset * length)}`);
    return `repeating-linear-gradient(${angle}, ${stops.join(', ')})`;
  }
  const stops = fill.stops.map((stop) => ({ ...stop, offset: (start + stop.offset * length) / line }));
  return `linear-gradient(${angle}, ${printStops(stops)})`;
}

/** Stops at the very ends need no place. */
function printStops(stops: readonly GradientStop[]): string {
  return stops
    .map(({ colour, offset }, at) => {
      const place = percent(offset);
      const implied = (at === 0 && place === '0%') || (at === stops.length - 1 && place === '100%');
      return implied ? printColour(colour) : `${printColour(colour)} ${place}`;
    })
    .join(', ');
}

function percent(share: number): string {
  return `${formatNumber(share * 100, 2)}%`;
}

/** One value for equal corners, else four, and the second axis only when it differs. */
function printRadii(radii: Radii): string {
  const axis = (key: 'x' | 'y') => {
    const lengths = radii.map((radius) => px(radius[key]));
    return lengths.every((length) => length === lengths[0]) ? (lengths[0] ?? '0') : lengths.join(' ');
  };
  const [across, down] = [axis('x'), axis('y')];
  return across === down ? across : `${across} / ${down}`;
}

/** A text shadow; its blur radius is twice the deviation (CSS Text Decoration 3, §4). */
function printTextShadow({ dx, dy, deviation, colour }: TextShadow): string {
  const blur = deviation === 0 ? '' : ` ${px(deviation * 2)}`;
  return `${px(dx)} ${px(dy)}${blur} ${printColour(colour)}`;
}

/** A box shadow's blur radius is twice the deviation (CSS Backgrounds 3, §7.1.1). */
function printBoxShadow({ inset, dx, dy, deviation, spread, colour }: LookShadow): string {
  const grown = spread === 0 ? '' : ` ${px(spread)}`;
  return `${inset ? 'inset ' : ''}${px(dx)} ${px(dy)} ${px(deviation * 2)}${grown} ${printColour(colour)}`;
}

function printClip(clip: LookClip): Declaration {
  if (clip.kind === 'box') return ['overflow', 'hidden'];
  return ['clip-path', `path(${clip.rule === 'evenodd' ? 'evenodd, ' : ''}"${shortenPath(clip.d)}")`];
}

/** Three decimals are a thousandth of a px: more are noise. */
function shortenPath(d: string): string {
  return d.replace(/-?\d*\.\d{4,}(?:e-?\d+)?/gi, (number) => formatNumber(Number(number)));
}
