import { differenceCiede2000, parse } from 'culori';
import { isLengthKind, type TokenKind } from '../../look/styleValue';
import type { NearValues, UsedValue } from './token';

/** The largest difference of values that may be a slip: CIEDE2000 for colours, else px (common practice, no source). */
const NEAR = { colour: 2, font: 0, text: 0.5, space: 1, radius: 1, shadow: 0 } as const satisfies Readonly<
  Record<TokenKind, number>
>;
/** The largest share that a length may be off by. */
const LARGEST_SHARE = 0.15;

const colourDifference = differenceCiede2000();

/** Pairs of values that are nearly equal, the nearest first: each value with the most used one that is near. */
export function nearValues(values: readonly UsedValue[]): readonly NearValues[] {
  const byUse = values.toSorted((one, other) => other.uses - one.uses);
  return byUse
    .flatMap((other, at): NearValues[] => {
      for (const kept of byUse.slice(0, at)) {
        if (kept.kind !== other.kind) continue;
        // Of two distances that are used as often none is the habit that the other missed.
        if (kept.kind !== 'colour' && kept.uses === other.uses) continue;
        const difference = differenceOf(kept, other);
        if (difference <= NEAR[kept.kind]) return [{ kind: kept.kind, kept, other, difference }];
      }
      return [];
    })
    .sort((one, other) => one.difference - other.difference);
}

function differenceOf(one: UsedValue, other: UsedValue): number {
  if (isLengthKind(one.kind)) {
    const [first, second] = [parseFloat(one.value), parseFloat(other.value)];
    const off = Math.abs(first - second);
    return off > LARGEST_SHARE * Math.min(first, second) ? Infinity : off;
  }
  if (one.kind !== 'colour') return Infinity;
  const [first, second] = [parse(one.value), parse(other.value)];
  if (!first || !second || (first.alpha ?? 1) !== (second.alpha ?? 1)) return Infinity;
  return colourDifference(first, second);
}
