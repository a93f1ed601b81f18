import type { Look } from '../../look/look';
import type { Colour } from '../../mockup/paint';

/** The colour of a look that is nothing but one solid fill; null for any other look. */
export function solidFillOnly({ fills, ...others }: Look): Colour | null {
  const [fill, ...more] = fills ?? [];
  const sole = fill?.kind === 'solid' && more.length === 0 && Object.keys(others).length === 0;
  return sole ? fill.colour : null;
}
