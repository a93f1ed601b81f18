/** A step of the scale. */
export const ZOOM_STEP = Math.SQRT2;

/** The factor of the scale for a turn of the wheel. */
export function wheelFactor({ deltaY }: Pick<WheelEvent, 'deltaY'>): number {
  return Math.exp(-deltaY / 300);
}
