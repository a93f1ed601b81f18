import { BY_HAND, MEASURED, SNAPPED } from '../../tolerances';
import { bottom, type Box } from '../../../mockup/box';
import type { Align } from '../../place';
import { baselineOf } from './baselines';
import type { Part } from './parts';
import { roundedLength } from './spacing';

/** The share of a line that a tall part leaves free by chance. */
const BY_CHANCE = 0.02;

/** The alignment that most parts have across a row. */
function crossAlign(parts: readonly Part[], line: Box): Align {
  const found = parts.map(({ box, node }): Align | null => {
    const [above, below] = [box.y - line.y, bottom(line) - bottom(box)];
    const isWhole = Math.abs(above) <= SNAPPED && Math.abs(below) <= SNAPPED;
    // A part that nearly fills the line is centred by chance.
    if (isWhole || above + below <= BY_CHANCE * line.height) return node.kind === 'box' ? 'stretch' : null;
    if (Math.abs(above - below) <= MEASURED.middle * 1.2) return 'middle';
    if (Math.abs(above) <= SNAPPED) return 'start';
    return Math.abs(below) <= SNAPPED ? 'end' : null;
  });
  return commonAlign(found);
}

export function commonAlign(found: readonly (Align | null)[]): Align {
  const order = ['baseline', 'middle', 'stretch', 'start', 'end'] as const;
  const votes = (align: Align) => found.filter((each) => each === align).length;
  const others = votes('middle') + votes('start') + votes('end') + votes('baseline');
  // A part that fills the line agrees with every alignment.
  if (others === 0) return votes('stretch') > 0 ? 'stretch' : 'middle';
  return order.filter((align) => align !== 'stretch').toSorted((one, other) => votes(other) - votes(one))[0]!;
}

export interface Line {
  readonly align: Align;
  /** The line box: as high as its tallest part. */
  readonly line: Box;
  readonly owns: readonly OwnAlign[];
}

/**
 * The cross alignment of a row: `wanted` where other rows ask for it; from the top with margins when nothing
 * simpler keeps the row's height.
 */
export function alignLine(parts: readonly Part[], inside: Box, wanted: Align | null = null): Line {
  const align = wanted ?? crossAlign(parts, inside);
  const owns = parts.map(({ box }) => ownAlign(box, inside, align));
  const isSimple = owns.every((own) => own.align === null && own.top === 0);
  const based = isSimple || (wanted ?? 'baseline') !== 'baseline' ? null : baselineLine(parts, inside);
  if (based) return based;
  const height = Math.max(...parts.map(({ box }, at) => box.height + owns[at]!.top));
  const short = inside.height - height;
  const above = align === 'middle' ? short / 2 : align === 'end' ? short : 0;
  const line = { ...inside, y: inside.y + above, height };
  const isOff = parts.some(
    ({ box }, at) => Math.abs(topIn(line, box, owns[at]!, align) - box.y) > BY_HAND.step,
  );
  if (!isOff) return { align, line, owns };
  const own = wanted === null || wanted === 'start' ? null : 'start';
  const tops = parts.map(({ box }): OwnAlign => ({ align: own, top: roundedLength(box.y - inside.y) }));
  return { align: wanted ?? 'start', line: inside, owns: tops };
}

/** A row whose words share a baseline (CSS Box Alignment 3, §9.3); null when most do not. */
function baselineLine(parts: readonly Part[], inside: Box): Line | null {
  const baselines = parts.map(baselineOf);
  const known = baselines.filter((baseline) => baseline !== null);
  const common = known.find(
    (one) => known.filter((other) => Math.abs(one - other) <= MEASURED.baseline).length * 2 > parts.length,
  );
  if (common === undefined || known.length < 2) return null;
  const isOn = (at: number) =>
    baselines[at] !== null && Math.abs(baselines[at]! - common) <= MEASURED.baseline;
  const on = parts.filter((_, at) => isOn(at)).map(({ box }) => box);
  const top = Math.min(...on.map(({ y }) => y));
  if (on.length < 2 || Math.abs(top - inside.y) > SNAPPED) return null;
  const owns = parts.map(({ box }, at): OwnAlign => {
    if (isOn(at)) return { align: null, top: 0 };
    const own = ownAlign(box, inside, 'baseline');
    return own.align === null && own.top === 0 ? { align: 'start', top: 0 } : own;
  });
  const height =
    Math.max(...on.map(bottom), ...parts.map(({ box }, at) => inside.y + box.height + owns[at]!.top)) -
    inside.y;
  return Math.abs(height - inside.height) <= SNAPPED ? { align: 'baseline', line: inside, owns } : null;
}

/** The top edge that the browser gives a part, px of the screen. */
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

/** The alignment of a part that differs from its row's. */
function ownAlign(
  box: Box,
  line: Box,
  common: Align,
): { readonly align: Align | null; readonly top: number } {
  const [above, below] = [box.y - line.y, bottom(line) - bottom(box)];
  const whole = Math.abs(above) <= SNAPPED && Math.abs(below) <= SNAPPED;
  if (whole) return { align: null, top: 0 };
  const fits: Readonly<Record<Align, boolean>> = {
    stretch: false,
    baseline: false,
    middle: Math.abs(above - below) <= MEASURED.middle * 1.2,
    start: Math.abs(above) <= SNAPPED,
    end: Math.abs(below) <= SNAPPED,
  };
  if (fits[common]) return { align: null, top: 0 };
  const other = (['start', 'middle', 'end'] as const).find((align) => fits[align]);
  return other ? { align: other, top: 0 } : { align: 'start', top: roundedLength(above) };
}
