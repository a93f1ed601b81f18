import type { Declaration } from './printCss';
import { formatNumber } from './numbers';

/** Px of one rem where a reader has changed nothing (CSS Values 4, §6.1.1; browsers' initial font size). */
const REM = 16;

/** Lengths that stay in px: hairlines, and what is drawn px by px. */
const STAYS =
  /^(border(-(top|right|bottom|left))?|outline|(box|text)-shadow|filter|clip-path|-webkit-text-stroke|transform|translate|background)$/;

/** A declaration with its lengths in rem, but for hairlines and drawings. */
export function inRem([property, value]: Declaration): Declaration {
  if (STAYS.test(property)) return [property, value];
  const changed = value.replace(/(-?[\d.]+)px/g, (_, length: string) => {
    const rem = formatNumber(Number(length) / REM, 5);
    return rem === '0' ? '0' : `${rem}rem`;
  });
  return [property, changed];
}
