import { px } from '../../markup/numbers';
import type { Declaration } from '../../markup/printCss';
import { rememberOf } from '../../mockup/remember';
import { standingOf, type PageNode } from '../../page/node';
import type { StandingCount, StyleClass } from '../../style/styleSheet';
import { changes } from './changes';
import { placeDeclarations, standingDeclarations } from './placing';

/** What a class says of how its wearers stand: each declaration that more than half of them have. */
export const commonStanding = rememberOf((standings: readonly StandingCount[]): readonly Declaration[] => {
  const counts = new Map<string, { readonly declaration: Declaration; count: number }>();
  // What flows would have to take back that others lie loose.
  const isMixed = standings.some(({ standing }) => standing?.kind !== 'fixed');
  for (const { standing, count } of standings) {
    if (!standing || (isMixed && standing.kind === 'fixed')) continue;
    // Of a property that is said twice the last holds.
    for (const declaration of new Map(standingDeclarations(standing))) {
      const text = declaration.join(': ');
      const known = counts.get(text);
      if (known) known.count += count;
      else counts.set(text, { declaration, count });
    }
  }
  const all = standings.reduce((sum, { count }) => sum + count, 0);
  return [...counts.values()].filter(({ count }) => 2 * count > all).map(({ declaration }) => declaration);
});

/**
 * What an element says itself of how it stands: what its class does not say, or says otherwise.
 * @param isSized whether attributes of its element give its size
 */
export function ownStanding(
  node: PageNode,
  style: StyleClass | null,
  isSized: boolean,
): readonly Declaration[] {
  const { place } = node;
  const standing = standingOf(node);
  const common = style ? commonStanding(style.standings) : [];
  if (!standing && place.kind === 'fixed') {
    // At coordinates everything is placed.
    const said = common.filter(([property]) => property !== 'position');
    return changes(said, sized(placeDeclarations(isSized ? { ...place, hugs: true } : place), said, node));
  }
  return changes(common, sized(standing ? standingDeclarations(standing) : [], common, node));
}

/** A size that attributes give is said where a class says another one. */
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
