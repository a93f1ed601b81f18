import type { FaceMetrics } from '../mockup/type';
import type { Extents } from './node';

/** Ascent and descent in whole px: browsers round each before they set a line (CSS Inline 3, §5.1 leaves it to them). */
export function roundedExtents(metrics: FaceMetrics, size: number): Extents {
  const em = size / metrics.unitsPerEm;
  return { ascent: Math.round(metrics.ascent * em), descent: Math.round(metrics.descent * em) };
}

/**
 * How far the baseline lies below the top of a line of this height, px: the leading is halved above and
 * below the letters (CSS Inline 3, §5.3), and browsers take the upper half down to whole px.
 */
export function baselineInLine(metrics: FaceMetrics, size: number, lineHeight: number): number {
  const { ascent, descent } = roundedExtents(metrics, size);
  return Math.floor((lineHeight - (ascent + descent)) / 2) + ascent;
}

/** The baselines of lines under each other, px. */
export function evenBaselines(first: number, lineHeight: number, count: number): readonly number[] {
  return Array.from({ length: count }, (_, at) => first + lineHeight * at);
}

/** By how much lines are moved down, px. */
export interface Fit {
  /** So that each lies well in the row of px in which it was drawn: as far as it must, or, where those are all that is known, in the middle. */
  readonly phase: number;
  /** From there on, where things stand at coordinates, so that the first lies at a whole px. */
  readonly nudge: number;
}

export const UNMOVED: Fit = { phase: 0, nudge: 0 };

/** Px from where a baseline would be rounded to another px. */
const TIE = 0.1;

/**
 * How lines stay in the rows of px in which they were drawn: browsers draw upright letters at whole px, in SVG and in HTML,
 * and what is lost at every box around must not tip them over.
 * @param set the baselines as they come out, px
 * @param drawn the baselines as they were drawn, px
 */
export function fitLines(set: readonly number[], drawn: readonly number[]): Fit {
  const strays = drawn.map((baseline, at) => Math.round(baseline) - set[at]!);
  const least = Math.max(...strays) - 0.5 + TIE;
  const most = Math.min(...strays) + 0.5 - TIE;
  const middle = (least + most) / 2;
  const stays = least > most || (least <= 0 && most >= 0);
  // A single line between two rows goes with what stands beside it.
  const nearest = drawn.length === 1 ? 0 : least > 0 ? least : most;
  const phase = stays ? 0 : areWhole(drawn) ? middle : nearest;
  const whole = least > most ? middle : Math.min(Math.max(strays[0]!, least), most);
  return { phase, nudge: whole - phase };
}

function areWhole(baselines: readonly number[]): boolean {
  return baselines.every((baseline) => Math.abs(baseline - Math.round(baseline)) <= WHOLE);
}

/** How far lines may stray from a regular paragraph, px. */
export const STRAY = 0.6;
/** Common practice, no source: line heights are multiples of a twentieth of the size, or of a quarter of a px. */
const SHARE_STEP = 1 / 20;
const PX_STEP = 1 / 4;
/** How far a coordinate may be from a whole px and still be one. */
const WHOLE = 0.01;

/**
 * Px between even baselines; null when they are not even. Tools that say where letters are drawn have baselines at whole px,
 * of which the steps differ by one: of all line heights that browsers would draw so, the likeliest.
 */
export function evenSpacing(baselines: readonly number[], size: number): number | null {
  const steps = baselines.slice(1).map((baseline, at) => baseline - baselines[at]!);
  const [plain] = steps;
  if (plain === undefined || steps.some((step) => step <= 0)) return null;
  const strayAt = (spacing: number) =>
    baselines.map((baseline, at) => baseline - baselines[0]! - spacing * at);
  if (strayAt(plain).every((stray) => Math.abs(stray) <= STRAY)) return plain;
  if (!areWhole(baselines)) return null;
  const fits = (spacing: number) => {
    const strays = strayAt(spacing);
    return Math.max(...strays) - Math.min(...strays) <= 1 - 2 * TIE;
  };
  const mean = (baselines.at(-1)! - baselines[0]!) / steps.length;
  const around = (step: number) => [0, 1, -1].map((more) => (Math.round(mean / step) + more) * step);
  return [...around(size * SHARE_STEP), ...around(PX_STEP), mean].find(fits) ?? null;
}
