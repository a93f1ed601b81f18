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
