/** Common practice, no source: lengths are written in quarters of a px, if not in whole ones. */
const QUARTER = 0.25;

/** The length in quarters of a px, where it is one but for `slack` px, by which it was measured; else the length. */
export function toQuarters(length: number, slack: number): number {
  const quarters = Math.round(length / QUARTER) * QUARTER;
  return Math.abs(quarters - length) <= slack ? quarters : length;
}

/** A length as exact as it is written: looks that are written alike share a class. */
export function toThousandths(length: number): number {
  return Math.round(length * 1000) / 1000;
}
