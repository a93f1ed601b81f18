import type { Declaration } from './printCss';
import { formatNumber } from './numbers';

/** Px of one rem at the browsers' initial font size (CSS Values 4, §6.1.1). */
const REM = 16;

/** Lengths that stay in px: hairlines, and paths. */
const KEPT_IN_PX =
  /^(border(-(top|right|bottom|left))?|outline|(box|text)-shadow|filter|clip-path|-webkit-text-stroke|transform|translate|background)$/;

/** A declaration with its lengths in rem, except hairlines and paths. */
export function inRem([property, value]: Declaration): Declaration {
  if (KEPT_IN_PX.test(property)) return [property, value];
  const changed = value.replace(/(-?[\d.]+)px/g, (_, length: string) => {
    const rem = formatNumber(Number(length) / REM, 5);
    return rem === '0' ? '0' : `${rem}rem`;
  });
  return [property, changed];
}
