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

/** Browsers lay out in whole parts of a px, and leave out what is less (measured in Chromium: its `LayoutUnit`). */
const PARTS = 64;
/** How much of such a part a file has left out that writes hundredths of a px. */
const WRITTEN = 0.33;

/**
 * A length down the page, whose rounding must not cost it the part of a px that browsers would have given it: letters are drawn at
 * whole px, and such parts add up. Across the page they leave the room that letters need.
 */
export function pxDown(length: number): string {
  const whole = Math.floor(Math.abs(length) * PARTS + WRITTEN);
  const rounded = Math.abs(Number(formatNumber(length)));
  return px(
    Math.floor(rounded * PARTS) < whole
      ? Math.sign(length) * (Math.ceil((whole / PARTS) * 1000) / 1000)
      : length,
  );
}
