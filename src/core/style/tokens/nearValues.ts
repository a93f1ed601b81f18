import { converter, differenceCiede2000, type Lab65 } from 'culori';
import { isLengthKind, type TokenKind } from '../../look/styleValue';
import type { NearValues, UsedValue } from './token';

/** The largest difference of values that may be a slip: CIEDE2000 for colours, else px (common practice, no source). */
const NEAR = { colour: 2, font: 0, text: 0.5, space: 1, radius: 1, shadow: 0 } as const satisfies Readonly<
  Record<TokenKind, number>
>;
/** The largest share that a length may be off by. */
const LARGEST_SHARE = 0.15;

/** The most that a difference of lightness is divided by: the weight S_L for black or white (CIE 142-2001, CIEDE2000). */
const LARGEST_LIGHTNESS_WEIGHT = 1 + (0.015 * 50 ** 2) / Math.sqrt(20 + 50 ** 2);

const colourDifference = differenceCiede2000();
const toLab = converter('lab65');

/** A value with what it is compared by: a length in px, or a colour in Lab. */
interface Measured {
  readonly value: UsedValue;
  readonly length: number;
  readonly colour: Lab65 | undefined;
}

/** Pairs of values that are nearly equal, the nearest first: each value with the most used one that is near. */
export function nearValues(values: readonly UsedValue[]): readonly NearValues[] {
  const byUse = values.toSorted((one, other) => other.uses - one.uses);
  return (Object.keys(NEAR) as TokenKind[])
    .filter((kind) => NEAR[kind] > 0)
    .flatMap((kind) => nearOfKind(byUse.filter((each) => each.kind === kind).map(measured)))
    .sort((one, other) => one.difference - other.difference);
}

function measured(value: UsedValue): Measured {
  const isColour = value.kind === 'colour';
  return {
    value,
    length: isColour ? NaN : parseFloat(value.value),
    colour: isColour ? toLab(value.value) : undefined,
  };
}

function nearOfKind(byUse: readonly Measured[]): readonly NearValues[] {
  return byUse.flatMap((other, at): NearValues[] => {
    for (const kept of byUse.slice(0, at)) {
      const { kind } = kept.value;
      // Of two distances that are used as often none is the habit that the other missed.
      if (kind !== 'colour' && kept.value.uses === other.value.uses) continue;
      const difference = differenceOf(kept, other);
      if (difference <= NEAR[kind]) return [{ kind, kept: kept.value, other: other.value, difference }];
    }
    return [];
  });
}

function differenceOf(one: Measured, other: Measured): number {
  if (isLengthKind(one.value.kind)) {
    const off = Math.abs(one.length - other.length);
    return off > LARGEST_SHARE * Math.min(one.length, other.length) ? Infinity : off;
  }
  const [first, second] = [one.colour, other.colour];
  if (!first || !second || (first.alpha ?? 1) !== (second.alpha ?? 1)) return Infinity;
  if (Math.abs(first.l - second.l) > NEAR.colour * LARGEST_LIGHTNESS_WEIGHT) return Infinity;
  return colourDifference(first, second);
}
