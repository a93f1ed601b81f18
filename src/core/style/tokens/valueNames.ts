import { freeName } from '../../markup/freeName';
import { formatNumber } from '../../markup/numbers';
import type { UsedValue } from './token';

/** Units of a grid that are tried, the largest first, px (common practice, no source). */
const GRIDS = [8, 5, 4, 2];
/** The share of uses that has to stand on a grid. */
const ON_GRID = 0.75;

/**
 * The names of distances by their values, on a scale: multiples of the unit of a grid, so that a further length renames
 * none (`space-3` is 12px on a grid of 4px).
 */
export function stepNames(
  lengths: readonly UsedValue[],
  taken: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  const all = lengths.reduce((sum, { uses }) => sum + uses, 0);
  const onGrid = (unit: number) =>
    lengths.reduce((sum, { value, uses }) => sum + (parseFloat(value) % unit === 0 ? uses : 0), 0);
  const unit = GRIDS.find((each) => onGrid(each) >= ON_GRID * all) ?? 1;
  return named(lengths, taken, ({ value }) => {
    const steps = formatNumber(parseFloat(value) / unit, 3).replace('.', '-');
    return `space-${steps}`;
  });
}

/** The names of sizes of type by their values: the most used one is the base, others are smaller or larger. */
export function sizeNames(
  sizes: readonly UsedValue[],
  taken: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  const base = sizes.toSorted((one, other) => other.uses - one.uses)[0];
  if (!base) return new Map();
  const px = ({ value }: UsedValue) => parseFloat(value);
  // From the base outwards, so that a further size at an end renames none.
  const outwards = sizes.toSorted(
    (one, other) => Math.abs(px(one) - px(base)) - Math.abs(px(other) - px(base)),
  );
  return named(outwards, taken, (size) => {
    if (size === base) return 'text-base';
    return px(size) < px(base) ? 'text-small' : 'text-large';
  });
}

/** The names of radii by their values, in px. */
export function radiusNames(
  radii: readonly UsedValue[],
  taken: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  return named(radii, taken, ({ value }) => `radius-${value.replace(/px$/, '').replace('.', '-')}`);
}

/** The names of font families by their values: `font-mono` for letters of one width. */
export function fontNames(
  fonts: readonly UsedValue[],
  taken: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  const byUse = fonts.toSorted((one, other) => other.uses - one.uses);
  return named(byUse, taken, ({ value }) => (/\bmono(?:space)?\b/i.test(value) ? 'font-mono' : 'font'));
}

/** The names of shadows, which have no scale. */
export function shadowNames(
  values: readonly UsedValue[],
  taken: ReadonlySet<string>,
): ReadonlyMap<string, string> {
  return named(values, taken, () => 'shadow');
}

function named(
  values: readonly UsedValue[],
  taken: ReadonlySet<string>,
  wanted: (value: UsedValue) => string,
): ReadonlyMap<string, string> {
  const given = new Set(taken);
  return new Map(
    values.map((each) => {
      const name = freeName(wanted(each), (other) => given.has(other));
      given.add(name);
      return [each.value, name];
    }),
  );
}
