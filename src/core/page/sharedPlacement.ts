import { hasGreatestWidth, type FlowPlace, type FixedPlace } from './place';
import type { PageNode } from './node';

/** The properties of a place that do not follow from other numbers: equal ones can share a class. */
export type SharedPlacement =
  | Pick<
      FlowPlace,
      | 'kind'
      | 'widthMode'
      | 'heightMode'
      | 'align'
      | 'margin'
      | 'width'
      | 'height'
      | 'linear'
      | 'subpixelShift'
      | 'snapCompensation'
    >
  | (Omit<FixedPlace, 'fitsContent' | 'pins'> & { readonly pins: NonNullable<FixedPlace['pins']> });

/** The placement that a class can hold; null for fixed coordinates, or when the content gives everything. */
export function sharedPlacementOf(node: PageNode): SharedPlacement | null {
  const { place, kind } = node;
  if (place.kind === 'fixed') {
    const { fitsContent: _, pins, ...geometry } = place;
    if (!pins) return null;
    const width = pins.widthMode === 'fit' ? 0 : place.width;
    const height = pins.heightMode === 'fit' ? 0 : place.height;
    return { ...geometry, width, height, pins };
  }
  const { widthMode, heightMode, align, margin, linear, subpixelShift, snapCompensation } = place;
  const sized = widthMode === 'drawn' || widthMode === 'rigid' || hasGreatestWidth(widthMode);
  const width = sized && !(kind === 'picture' && widthMode === 'rigid') ? place.width : 0;
  const height = heightMode === 'fit' ? 0 : place.height;
  const plain =
    width === 0 &&
    height === 0 &&
    align === null &&
    linear === null &&
    !snapCompensation &&
    widthMode !== 'rest';
  const spaced = margin.top !== 0 || margin.left !== 0 || margin.right !== 0 || margin.bottom !== 0;
  return plain && !spaced && widthMode !== 'full'
    ? null
    : {
        kind: 'flow',
        widthMode,
        heightMode,
        align,
        margin,
        linear,
        width,
        height,
        ...(linear && subpixelShift !== undefined && { subpixelShift }),
        ...(snapCompensation && { snapCompensation }),
      };
}
