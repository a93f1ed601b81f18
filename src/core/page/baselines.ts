import { COMPUTED, MEASURED } from './tolerances';
import { spread } from '../mockup/box';
import type { FaceMetrics } from '../mockup/type';
import type { Extents } from './node';

/** Ascent and descent in whole px: browsers round each before they set a line (CSS Inline 3, §5.1 leaves it to them). */
export function roundedExtents(metrics: FaceMetrics, size: number): Extents {
  const em = size / metrics.unitsPerEm;
  return { ascent: Math.round(metrics.ascent * em), descent: Math.round(metrics.descent * em) };
}

/**
 * Distance from the top of a line of this height to its baseline, px: half of the leading is above the
 * letters (CSS Inline 3, §5.3), and browsers round that half down to whole px.
 */
export function baselineInLine(metrics: FaceMetrics, size: number, lineHeight: number): number {
  const { ascent, descent } = roundedExtents(metrics, size);
  return Math.floor((lineHeight - (ascent + descent)) / 2) + ascent;
}

/** The baselines of lines under each other, px. */
export function evenBaselines(first: number, lineHeight: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, at) => first + lineHeight * at);
}

/** The downward shift of lines, px. */
export interface LineShift {
  /**
   * The shift that puts each baseline well inside the row of px in which it was drawn: as small as possible,
   * or to the middle of the row where only rows are known.
   */
  readonly phase: number;
  /** The further shift, for text at fixed coordinates, that puts the first baseline on a whole px. */
  readonly baselineOffset: number;
}

export const NO_SHIFT: LineShift = { phase: 0, baselineOffset: 0 };

/** Px around a half px in which rounding could go either way. */
const TIE = 0.1;

/**
 * The shift that keeps lines in the rows of px in which they were drawn. Browsers draw upright letters at
 * whole px in SVG and in HTML; rounding at each box around must not move them to another row.
 * @param set the baselines as laid out, px
 * @param drawn the baselines as drawn, px
 */
export function shiftToRows(set: readonly number[], drawn: readonly number[]): LineShift {
  const strays = drawn.map((baseline, at) => Math.round(baseline) - set[at]!);
  const least = Math.max(...strays) - 0.5 + TIE;
  const most = Math.min(...strays) + 0.5 - TIE;
  const middle = (least + most) / 2;
  const stays = least > most || (least <= 0 && most >= 0);
  // A single line between two rows follows what stands beside it.
  const nearest = drawn.length === 1 ? 0 : least > 0 ? least : most;
  const phase = stays ? 0 : areWhole(drawn) ? middle : nearest;
  const whole = least > most ? middle : Math.min(Math.max(strays[0]!, least), most);
  return { phase, baselineOffset: whole - phase };
}

function areWhole(baselines: readonly number[]): boolean {
  return baselines.every((baseline) => Math.abs(baseline - Math.round(baseline)) <= COMPUTED.wholePx);
}

/** Common practice, no source: line heights are multiples of a twentieth of the size, or of a quarter of a px. */
const SHARE_STEP = 1 / 20;
const PX_STEP = 1 / 4;

/**
 * Px between even baselines; null when they are not even. Tools that record rendered positions give baselines
 * at whole px whose steps differ by one: of the line heights that browsers would round so, the likeliest.
 */
export function evenSpacing(baselines: readonly number[], size: number): number | null {
  const steps = baselines.slice(1).map((baseline, at) => baseline - baselines[at]!);
  const [plain] = steps;
  if (plain === undefined || steps.some((step) => step <= 0)) return null;
  const strayAt = (spacing: number) =>
    baselines.map((baseline, at) => baseline - baselines[0]! - spacing * at);
  if (strayAt(plain).every((stray) => Math.abs(stray) <= MEASURED.baseline)) return plain;
  if (!areWhole(baselines)) return null;
  const fits = (spacing: number) => spread(strayAt(spacing)) <= 1 - 2 * TIE;
  const mean = (baselines.at(-1)! - baselines[0]!) / steps.length;
  const around = (step: number) => [0, 1, -1].map((more) => (Math.round(mean / step) + more) * step);
  return [...around(size * SHARE_STEP), ...around(PX_STEP), mean].find(fits) ?? null;
}
