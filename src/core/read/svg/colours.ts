import { converter, parse } from 'culori';
import type { Colour } from '../../mockup/paint';

const toRgb = converter('rgb');
const seen = new Map<string, Colour | null>();

export const BLACK: Colour = { r: 0, g: 0, b: 0, alpha: 1 };

/** Any CSS Color 4 colour as sRGB; null for other text. The caller resolves `currentColor`. */
export function parseColour(text: string): Colour | null {
  const known = seen.get(text);
  if (known !== undefined) return known;
  const rgb = toRgb(parsed(text.trim()));
  const channel = (value: number) => Math.round(Math.min(1, Math.max(0, value)) * 255);
  const colour = rgb
    ? { r: channel(rgb.r), g: channel(rgb.g), b: channel(rgb.b), alpha: rgb.alpha ?? 1 }
    : null;
  if (seen.size > 5000) seen.clear();
  seen.set(text, colour);
  return colour;
}

/** culori throws at some texts that are no colours. */
function parsed(text: string): ReturnType<typeof parse> {
  try {
    return parse(text);
  } catch {
    return undefined;
  }
}
