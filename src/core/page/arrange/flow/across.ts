import { bottom, type Box } from '../../../mockup/box';
import type { Align } from '../../node';
import { baselineOf } from './baselines';
import type { Part } from './parts';
import { extra } from './spacing';
import { EDGE, MIDDLE } from './stand';

/** The share of its line that something high leaves free by chance. */
const CHANCE = 0.02;

/** How most parts stand across a row. */
function crossAlign(parts: readonly Part[], line: Box): Align {
  const found = parts.map(({ box, node }): Align | null => {
    const [above, below] = [box.y - line.y, bottom(line) - bottom(box)];
    const isWhole = Math.abs(above) <= EDGE && Math.abs(below) <= EDGE;
    // What all but fills the line is in its middle by chance.
    if (isWhole || above + below <= CHANCE * line.height) return node.kind === 'box' ? 'stretch' : null;
    if (Math.abs(above - below) <= MIDDLE * 1.2) return 'middle';
    if (Math.abs(above) <= EDGE) return 'start';
    return Math.abs(below) <= EDGE ? 'end' : null;
  });
  return commonAlign(found);
}

export function commonAlign(found: readonly (Align | null)[]): Align {
  const order = ['baseline', 'middle', 'stretch', 'start', 'end'] as const;
  const votes = (align: Align) => found.filter((each) => each === align).length;
  const others = votes('middle') + votes('start') + votes('end') + votes('baseline');
  // What fills the line fits every other way of standing in it.
  if (others === 0) return votes('stretch') > 0 ? 'stretch' : 'middle';
  return order.filter((align) => align !== 'stretch').toSorted((one, other) => votes(other) - votes(one))[0]!;
}

export interface Line {
  readonly align: Align;
  /** Where the browser puts the line: as high as its highest part. */
  readonly line: Box;
  readonly owns: readonly OwnAlign[];
}

/**
 * How the parts of a row stand across it, by `wanted` where other rows ask for it; from the top with margins when nothing simpler keeps the row's height.
 */
export function alignLine(parts: readonly Part[], inside: Box, wanted: Align | null = null): Line {
  const line = plainLine(parts, inside, wanted);
  return { ...line, owns: line.owns.map((own, at) => inItsPx(parts[at]!, own, line)) };
}

/** Letters in the middle of a line stay in the row of px in which they were drawn: browsers draw them at whole px. */
function inItsPx(part: Part, own: OwnAlign, { align, line }: Line): OwnAlign {
  if ((own.align ?? align) !== 'middle' || own.top !== 0 || baselineOf(part) === null) return own;
  const middle = topIn(line, part.box, own, align);
  const off = part.box.y - middle;
  // What gives the line its height would change that.
  const isHighest = part.box.height + 2 * Math.abs(off) > line.height;
  return isHighest || !isOtherPx(part, middle) ? own : { ...own, top: 2 * off };
}

function plainLine(parts: readonly Part[], inside: Box, wanted: Align | null): Line {
  const align = wanted ?? crossAlign(parts, inside);
  const owns = parts.map(({ box }) => ownAlign(box, inside, align));
  const isSimple = owns.every((own) => own.align === null && own.top === 0);
  const based = isSimple || (wanted ?? 'baseline') !== 'baseline' ? null : baseLine(parts, inside);
  if (based) return based;
  const height = Math.max(...parts.map(({ box }, at) => box.height + owns[at]!.top));
  const short = inside.height - height;
  const above = align === 'middle' ? short / 2 : align === 'end' ? short : 0;
  const line = { ...inside, y: inside.y + above, height };
  const isOff = parts.some(({ box }, at) => Math.abs(topIn(line, box, owns[at]!, align) - box.y) > OFF);
  if (!isOff) return { align, line, owns };
  const own = wanted === null || wanted === 'start' ? null : 'start';
  const tops = parts.map(({ box }): OwnAlign => ({ align: own, top: extra(box.y - inside.y) }));
  return { align: wanted ?? 'start', line: inside, owns: tops };
}

/** True where words drawn from here on would stand in another row of px. */
function isOtherPx(words: Part, y: number): boolean {
  const baseline = baselineOf(words) ?? 0;
  return Math.round(baseline) !== Math.round(baseline + y - words.box.y);
}

/** Px by which the baselines of a row may differ. */
const ON_BASELINE = 0.6;

/** A row whose words stand on one baseline (CSS Box Alignment 3, §9.3); null when most of them do not. */
function baseLine(parts: readonly Part[], inside: Box): Line | null {
  const baselines = parts.map(baselineOf);
  const known = baselines.filter((baseline) => baseline !== null);
  const common = known.find(
    (one) => known.filter((other) => Math.abs(one - other) <= ON_BASELINE).length * 2 > parts.length,
  );
  if (common === undefined || known.length < 2) return null;
  const isOn = (at: number) => baselines[at] !== null && Math.abs(baselines[at]! - common) <= ON_BASELINE;
  const on = parts.filter((_, at) => isOn(at)).map(({ box }) => box);
  const top = Math.min(...on.map(({ y }) => y));
  if (on.length < 2 || Math.abs(top - inside.y) > EDGE) return null;
  const owns = parts.map(({ box }, at): OwnAlign => {
    if (isOn(at)) return { align: null, top: 0 };
    const own = ownAlign(box, inside, 'baseline');
    return own.align === null && own.top === 0 ? { align: 'start', top: 0 } : own;
  });
  const height =
    Math.max(...on.map(bottom), ...parts.map(({ box }, at) => inside.y + box.height + owns[at]!.top)) -
    inside.y;
  return Math.abs(height - inside.height) <= EDGE ? { align: 'baseline', line: inside, owns } : null;
}

/** Px by which a part may miss its place before all are placed by margins. */
const OFF = 0.75;

/** Where the browser puts the upper edge of a part, px of the screen. */
function topIn(line: Box, { height }: Box, own: OwnAlign, common: Align): number {
  const free = line.height - height - own.top;
  const align = own.align ?? common;
  const above = align === 'middle' ? free / 2 : align === 'end' ? free : 0;
  return line.y + own.top + above;
}

interface OwnAlign {
  readonly align: Align | null;
  readonly top: number;
}

/** Where a part stands otherwise than its row. */
function ownAlign(
  box: Box,
  line: Box,
  common: Align,
): { readonly align: Align | null; readonly top: number } {
  const [above, below] = [box.y - line.y, bottom(line) - bottom(box)];
  const whole = Math.abs(above) <= EDGE && Math.abs(below) <= EDGE;
  if (whole) return { align: null, top: 0 };
  const fits: Readonly<Record<Align, boolean>> = {
    stretch: false,
    baseline: false,
    middle: Math.abs(above - below) <= MIDDLE * 1.2,
    start: Math.abs(above) <= EDGE,
    end: Math.abs(below) <= EDGE,
  };
  if (fits[common]) return { align: null, top: 0 };
  const other = (['start', 'middle', 'end'] as const).find((align) => fits[align]);
  return other ? { align: other, top: 0 } : { align: 'start', top: extra(above) };
}
