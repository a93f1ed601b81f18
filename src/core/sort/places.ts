import type { Measures } from '../mockup/bounds';
import { bottom, intersection, right, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import type { Repeat, Repeats } from './repeats';

export interface PlaceRole {
  readonly role: 'header' | 'footer' | 'navigation';
  readonly reason: string;
}

/** Common practice, no source: the largest share of the screen that furniture takes. */
export const FURNITURE = 0.22;
/** The smallest share of the screen's width or height that furniture spans. */
const SPAN = 0.9;
/** Px by which furniture may be off the edge. */
const EDGE_DISTANCE = 4;
/** A column with at least this many short texts is navigation. */
const LINKS = 4;

/** Blocks shared by several screens are furniture with a smaller span and further from the edge. */
const SHARED_SPAN = 0.5;
const SHARED_EDGE = 0.1;
const SHARED_LINKS = 2;

/** The required distance to the edge, and span. */
interface Bounds {
  readonly span: number;
  readonly edge: number;
  readonly links: number;
  readonly reason: string;
}

function boundsOf(repeat: Repeat | undefined, { height }: Screen): Bounds {
  return repeat
    ? {
        span: SHARED_SPAN,
        edge: SHARED_EDGE * height,
        links: SHARED_LINKS,
        reason: `, on ${repeat.count} screens`,
      }
    : { span: SPAN, edge: EDGE_DISTANCE, links: LINKS, reason: '' };
}

/** The parts of a screen that get a role by their place: at most one header, footer and navigation. */
export function findPlaces(
  screen: Screen,
  measures: Measures,
  furniture: Repeats,
): ReadonlyMap<LayerId, PlaceRole> {
  const places = new Map<LayerId, PlaceRole>();
  const whole: Box = { x: 0, y: 0, width: screen.width, height: screen.height };
  const taken = new Set<PlaceRole['role']>();
  for (const group of blocksOf(screen, measures)) {
    const painted = measures.get(group.id)?.painted;
    const seen = painted && intersection(painted, whole);
    if (!seen) continue;
    const place = placeOf(group, seen, screen, boundsOf(furniture.get(group.id), screen));
    if (!place || taken.has(place.role)) continue;
    taken.add(place.role);
    places.set(group.id, place);
  }
  return places;
}

/** The groups that divide a page; wrappers around everything are opened, whatever stands beside them. */
export function blocksOf({ root, width, height }: Screen, measures: Measures): readonly GroupLayer[] {
  const isAround = (group: GroupLayer) => {
    const painted = measures.get(group.id)?.painted;
    const seen = painted && intersection(painted, { x: 0, y: 0, width, height });
    return seen ? seen.width >= SPAN * width && seen.height >= SPAN * height : false;
  };
  const blocksIn = (around: GroupLayer): readonly GroupLayer[] => {
    const groups = groupsIn(around);
    return groups.flatMap((group) =>
      groupsIn(group).length > 0 && (groups.length === 1 || isAround(group)) ? blocksIn(group) : group,
    );
  };
  return blocksIn(root);
}

function groupsIn(group: GroupLayer): readonly GroupLayer[] {
  return group.layers.filter((layer): layer is GroupLayer => layer.kind === 'group' && layer.visible);
}

function placeOf(
  group: GroupLayer,
  seen: Box,
  { width, height }: Screen,
  { span, edge, links, reason }: Bounds,
): PlaceRole | null {
  const texts = countTexts(group);
  const across = seen.width >= span * width && seen.height <= FURNITURE * height;
  if (across && texts > 0 && seen.y <= edge)
    return { role: 'header', reason: `it spans the top of the screen${reason}` };
  if (across && texts > 0 && bottom(seen) >= height - edge)
    return { role: 'footer', reason: `it spans the bottom of the screen${reason}` };
  const beside = seen.height >= span * height && seen.width <= FURNITURE * width;
  const atEdge = seen.x <= edge || right(seen) >= width - edge;
  return beside && atEdge && texts >= links
    ? { role: 'navigation', reason: `a column of ${texts} texts at the edge of the screen${reason}` }
    : null;
}

function countTexts(layer: Layer): number {
  let count = 0;
  for (const part of walk(layer)) if (part.kind === 'text' && part.visible) count += 1;
  return count;
}
