/** Common practice, no source: lengths are written in quarters of a px, if not in whole ones. */
const QUARTER = 0.25;

/** The length rounded to quarters of a px if it is within `slack` px of one; else the length. */
export function toQuarters(length: number, slack: number): number {
  const quarters = Math.round(length / QUARTER) * QUARTER;
  return Math.abs(quarters - length) <= slack ? quarters : length;
}

/** A length rounded to thousandths, as it is printed: looks that print alike share a class. */
export function toThousandths(length: number): number {
  return Math.round(length * 1000) / 1000;
}

/** The length in the middle of some; the lower of two. */
export function middleOf(lengths: readonly number[]): number {
  return lengths.toSorted((one, other) => one - other)[Math.floor((lengths.length - 1) / 2)]!;
}
