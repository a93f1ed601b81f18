import type { Look, LookClip, LookFill, LookFilter, TypeLook } from '../../look/look';
import type { Shadow } from '../../mockup/layer';
import { printColour } from '../../markup/colours';
import { formatNumber } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import type { Radii } from '../../mockup/outline';
import type { GradientStop } from '../../mockup/paint';
import { quoteFamily } from '../../markup/families';

/** A length as CSS writes it. */
export function px(length: number): string {
  const number = formatNumber(length);
  return number === '0' ? '0' : `${number}px`;
}

/** The look as CSS declarations, in a steady order. */
export function lookDeclarations(look: Look): Declaration[] {
  const list: (Declaration | null)[] = [
    look.fills ? ['background', [...look.fills].reverse().map(printFill).join(', ')] : null,
    look.border ? ['border', `${px(look.border.width)} solid ${printColour(look.border.colour)}`] : null,
    look.radii ? ['border-radius', printRadii(look.radii)] : null,
    look.shadows ? ['box-shadow', look.shadows.map(printBoxShadow).join(', ')] : null,
    look.filters ? ['filter', look.filters.map(printFilter).join(' ')] : null,
    look.opacity === undefined ? null : ['opacity', formatNumber(look.opacity)],
    look.blend ? ['mix-blend-mode', look.blend] : null,
    look.isolated ? ['isolation', 'isolate'] : null,
    look.clip ? printClip(look.clip) : null,
  ];
  return [...list.filter((entry) => entry !== null), ...(look.type ? typeDeclarations(look.type) : [])];
}

function typeDeclarations(type: TypeLook): Declaration[] {
  const height = type.lineHeight === null ? '1' : px(type.lineHeight);
  const style = `${type.italic ? 'italic ' : ''}${type.weight === 400 ? '' : `${type.weight} `}`;
  const family = type.families.map(quoteFamily).join(', ') || 'serif';
  const list: (Declaration | null)[] = [
    ['font', `${style}${px(type.size)}/${height} ${family}`],
    type.letterSpacing === 0 ? null : ['letter-spacing', px(type.letterSpacing)],
    type.wordSpacing === 0 ? null : ['word-spacing', px(type.wordSpacing)],
    type.decorations.length > 0 ? ['text-decoration', type.decorations.join(' ')] : null,
    ['color', type.colour ? printColour(type.colour) : 'transparent'],
    type.outline
      ? ['-webkit-text-stroke', `${px(type.outline.width)} ${printColour(type.outline.colour)}`]
      : null,
    type.align === 'start' ? null : ['text-align', type.align === 'middle' ? 'center' : 'end'],
    type.keepsSpaces ? ['white-space', 'pre'] : null,
    type.exact ? ['text-rendering', 'geometricPrecision'] : null,
  ];
  return list.filter((entry) => entry !== null);
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

/** One value where all corners are alike, else the four, and the second axis only when it differs. */
function printRadii(radii: Radii): string {
  const axis = (key: 'x' | 'y') => {
    const lengths = radii.map((radius) => px(radius[key]));
    return lengths.every((length) => length === lengths[0]) ? (lengths[0] ?? '0') : lengths.join(' ');
  };
  const [across, down] = [axis('x'), axis('y')];
  return across === down ? across : `${across} / ${down}`;
}

/** A box shadow's blur radius is twice the deviation (CSS Backgrounds 3, §7.1.1). */
function printBoxShadow({ dx, dy, deviation, colour }: Shadow): string {
  return `${px(dx)} ${px(dy)} ${px(deviation * 2)} ${printColour(colour)}`;
}

/** A filter's third length is the deviation itself (Filter Effects 1, §5). */
function printFilter(filter: LookFilter): string {
  if (filter.kind === 'blur') return `blur(${px(filter.deviation)})`;
  return `drop-shadow(${px(filter.dx)} ${px(filter.dy)} ${px(filter.deviation)} ${printColour(filter.colour)})`;
}

function printClip(clip: LookClip): Declaration {
  if (clip.kind === 'box') return ['overflow', 'hidden'];
  return ['clip-path', `path(${clip.rule === 'evenodd' ? 'evenodd, ' : ''}"${shortenPath(clip.d)}")`];
}

/** Three decimals are a thousandth of a px: more are noise. */
function shortenPath(d: string): string {
  return d.replace(/-?\d*\.\d{4,}(?:e-?\d+)?/gi, (number) => formatNumber(Number(number)));
}
