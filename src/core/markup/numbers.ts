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
