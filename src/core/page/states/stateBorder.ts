import { mapRadii } from '../../mockup/outline';
import type { Look, LookShadow } from '../../look/look';

/** What paints a box. */
const PAINTS = ['fills', 'fillInset', 'border', 'sides', 'radii', 'shadows'] as const;

/** A look with the paints of another one: of a backdrop in a state. */
export function withPaints(look: Look, paints: Look): Look {
  const kept = Object.fromEntries(
    Object.entries(look).filter(([property]) => !(PAINTS as readonly string[]).includes(property)),
  ) as Look;
  const taken = Object.fromEntries(
    PAINTS.flatMap((property) => (paints[property] === undefined ? [] : [[property, paints[property]]])),
  ) as Look;
  return { ...kept, ...taken };
}

/**
 * The look of a state whose border is thicker than the border at rest. The border keeps its width, so that the
 * content does not move; shadows without blur draw the rest of it (CSS Backgrounds 3, §7.1.1).
 * @param outset px by which the version's box reaches farther on every side
 */
export function withRestingBorder(look: Look, rest: Look, outset: number): Look {
  const { border, shadows = [], ...others } = look;
  const kept = rest.border?.width ?? 0;
  // A transparent border shows the background beneath it.
  if (!border && rest.border && !rest.sides && !look.sides)
    return { ...look, border: { width: kept, colour: { ...rest.border.colour, alpha: 0 } } };
  if (!border || rest.sides || border.width <= kept) return look;
  const { colour } = border;
  const line = (inset: boolean, spread: number): readonly LookShadow[] =>
    spread <= 0 ? [] : [{ inset, dx: 0, dy: 0, deviation: 0, spread, colour }];
  const inside = border.width - kept - outset;
  const inner = (radius: number) => Math.max(0, radius - outset);
  return {
    ...others,
    ...(look.radii && { radii: mapRadii(look.radii, ({ x, y }) => ({ x: inner(x), y: inner(y) })) }),
    ...(kept > 0 && { border: { width: kept, colour } }),
    shadows: [...line(true, inside), ...line(false, outset), ...shadows],
  };
}
