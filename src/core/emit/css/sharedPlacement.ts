import { px } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import { memoizeByObject } from '../../mockup/memoize';
import { sharedPlacementOf } from '../../page/sharedPlacement';
import type { PageNode } from '../../page/node';
import type { PlacementCount, StyleClass } from '../../style/styleSheet';
import { declarationDiff } from './declarationDiff';
import { placeDeclarations, placementDeclarations } from './placing';

/** The placement that a class holds: each declaration that more than half of its users have. */
export const commonPlacement = memoizeByObject(
  (standings: readonly PlacementCount[]): readonly Declaration[] => {
    const counts = new Map<string, { readonly declaration: Declaration; count: number }>();
    // A flowing user would have to reset the declarations of an absolute one.
    const isMixed = standings.some(({ placement }) => placement?.kind !== 'fixed');
    for (const { placement, count } of standings) {
      if (!placement || (isMixed && placement.kind === 'fixed')) continue;
      // Of repeated properties the last one counts.
      for (const declaration of new Map(placementDeclarations(placement))) {
        const text = declaration.join(': ');
        const known = counts.get(text);
        if (known) known.count += count;
        else counts.set(text, { declaration, count });
      }
    }
    const all = standings.reduce((sum, { count }) => sum + count, 0);
    return [...counts.values()].filter(({ count }) => 2 * count > all).map(({ declaration }) => declaration);
  },
);

/**
 * The placement declarations of an element that differ from its class.
 * @param isSized whether attributes of its element give its size
 */
export function ownPlacement(
  node: PageNode,
  style: StyleClass | null,
  isSized: boolean,
): readonly Declaration[] {
  const { place } = node;
  const standing = sharedPlacementOf(node);
  const common = style ? commonPlacement(style.placements) : [];
  if (!standing && place.kind === 'fixed') {
    // With fixed coordinates every element is positioned.
    const said = common.filter(([property]) => property !== 'position');
    return declarationDiff(
      said,
      sized(placeDeclarations(isSized ? { ...place, fitsContent: true } : place), said, node),
    );
  }
  return declarationDiff(common, sized(standing ? placementDeclarations(standing) : [], common, node));
}

/** A size from attributes is repeated where a class has another one. */
function sized(
  own: readonly Declaration[],
  common: readonly Declaration[],
  { kind, place }: PageNode,
): readonly Declaration[] {
  if (kind !== 'picture') return own;
  const size: readonly Declaration[] = [
    ['width', px(place.width)],
    ['height', px(place.height)],
  ];
  const isSaid = (property: string, declarations: readonly Declaration[]) =>
    declarations.some(([each]) => each === property);
  return [...own, ...size.filter(([property]) => isSaid(property, common) && !isSaid(property, own))];
}
