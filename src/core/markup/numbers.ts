/** A number as CSS and SVG write it, rounded to `decimals`, without needless zeros or an exponent. */
export function formatNumber(value: number, decimals = 3): string {
  const factor = 10 ** decimals;
  const rounded = Math.round(value * factor) / factor;
  return Object.is(rounded, -0) || !Number.isFinite(rounded) ? '0' : String(rounded);
}

/** A length as CSS writes it. */
export function px(length: number): string {
  const number = formatNumber(length);
  return number === '0' ? '0' : `${number}px`;
}

/** Browsers lay out in whole 64ths of a px and truncate the rest (measured in Chromium: its `LayoutUnit`). */
const LAYOUT_UNITS = 64;
/** The share of a layout unit that is lost in files that write hundredths of a px. */
const LOST_UNITS = 0.33;

/**
 * A vertical length, rounded up to the next layout unit where truncation would lose one. Letters are drawn at
 * whole px, and such losses add up down the page. Horizontal lengths are not rounded up, so that words keep
 * their room.
 */
export function verticalPx(length: number): string {
  const whole = Math.floor(Math.abs(length) * LAYOUT_UNITS + LOST_UNITS);
  const rounded = Math.abs(Number(formatNumber(length)));
  return px(
    Math.floor(rounded * LAYOUT_UNITS) < whole
      ? Math.sign(length) * (Math.ceil((whole / LAYOUT_UNITS) * 1000) / 1000)
      : length,
  );
}
