import { area, intersection } from '../../mockup/box';
import type { Point } from '../../mockup/matrix';
import type { State } from '../../sort/vocabulary';
import { isWrapped, type BoxNode, type PageNode, type StateLook } from '../node';
import { placedBox } from '../placed';
import { SNAPPED } from '../tolerances';
import type { Control } from './controlKey';
import { isSameText, matchParts } from './matchParts';
import { moveNode } from '../moveNode';
import { withPaints, withRestingBorder } from './stateBorder';

/** A node with the looks of a state, and the nodes beside it that only the state shows. */
export interface Dressed {
  readonly node: PageNode;
  readonly beside: readonly PageNode[];
}

/** The state that is written into a control. */
export interface StateWrite {
  readonly state: State;
  readonly control: Control;
  /** True while the node is the control itself. */
  readonly isControl: boolean;
}

const NO_MOVE: Point = { x: 0, y: 0 };

/**
 * Writes a version into its base. What both have differs in its look; what only the base has is hidden in the
 * state; what only the version has is a node that only the state shows. Null where the base can hold none of
 * that. Places are px of the screen.
 * @param isBackdrop true for a version of a backdrop that was merged into the node
 */
export function dressVersion(
  base: PageNode,
  version: PageNode,
  write: StateWrite,
  isBackdrop: boolean,
): Dressed | null {
  const placed = atPlaceOf(base, version);
  if (isBackdrop && base.kind === 'box' && isLeaf(placed) && isOneSize(base, placed))
    return alone(withState(base, write, withPaints(base.look, stateLook(base, placed))));
  const paired = pair(base, placed, write, NO_MOVE);
  if (paired) return paired;
  if (!write.isControl) return { node: hiddenIn(base, write), beside: [shownIn(placed, write)] };
  return base.kind === 'box' ? alone(replaceContent(base, placed, write)) : null;
}

function alone(node: PageNode): Dressed {
  return { node, beside: [] };
}

/** A version that was drawn elsewhere stands at the place of its base. */
function atPlaceOf(base: PageNode, version: PageNode): PageNode {
  const [one, other] = [placedBox(base.place), placedBox(version.place)];
  const shared = intersection(one, other);
  const isHere = shared !== null && area(shared) >= Math.min(area(one), area(other)) / 2;
  return isHere || area(one) === 0 ? version : moveNode(version, one.x - other.x, one.y - other.y);
}

/** Base and version as one node; null where they are not of one kind and size. */
function pair(base: PageNode, version: PageNode, write: StateWrite, moved: Point): Dressed | null {
  const move = { x: version.place.x - base.place.x, y: version.place.y - base.place.y };
  if (base.kind === 'text' && version.kind === 'text') {
    if (!isSameText(base, version)) return null;
    return alone(withState(base, write, version.look, shiftOf(move, moved)));
  }
  if (!isOneSize(base, version)) return null;
  if (base.kind === 'picture' && version.kind === 'picture') {
    const picture =
      base.picture === version.picture ? undefined : { name: version.picture, wrapped: isWrapped(base) };
    return alone(withState(base, write, version.look, shiftOf(move, moved), picture));
  }
  if (base.kind !== 'box' || version.kind !== 'box') return null;
  const shift = isThickened(base, version) ? null : shiftOf(move, moved);
  const own = withState(base, write, stateLook(base, version), shift);
  const inside = { ...write, isControl: false };
  const { matches, added } = matchParts(base.children.filter(isAtRest), version.children);
  const sharesWords = !hasWords(version);
  const children = matches.flatMap((match) => {
    if (!match.version)
      return sharesWords && hasWords(match.base) ? match.base : hiddenIn(match.base, inside);
    const paired = pair(match.base, match.version, inside, shift ?? moved);
    return paired
      ? [paired.node, ...paired.beside]
      : [hiddenIn(match.base, inside), shownIn(match.version, inside)];
  });
  const others = added.map((part) => shownIn(part, inside));
  const earlier = base.children.filter((child) => !isAtRest(child));
  return alone({ ...(own as BoxNode), children: [...children, ...others, ...earlier] });
}

/** The version inside its base, in place of all that the base shows; words that it lacks stay above it. */
function replaceContent(base: BoxNode, version: PageNode, write: StateWrite): BoxNode {
  const inside = { ...write, isControl: false };
  const sharesWords = !hasWords(version);
  const children = base.children.map((child) =>
    !isAtRest(child) || (sharesWords && hasWords(child)) ? child : hiddenIn(child, inside),
  );
  const shown = shownIn(version, inside);
  const own = withState(base, write, withPaints(base.look, {})) as BoxNode;
  return { ...own, children: sharesWords ? [shown, ...children] : [...children, shown] };
}

/** False for a node that only a state shows. */
function isAtRest({ states = [] }: PageNode): boolean {
  return !states.some(({ visibility }) => visibility === 'shown');
}

function hasWords(node: PageNode): boolean {
  return node.kind === 'text' || (node.kind === 'box' && node.children.some(hasWords));
}

function isLeaf(node: PageNode): node is BoxNode {
  return node.kind === 'box' && node.children.length === 0;
}

/** Px by which a thicker border may enlarge a box on every side. */
const MOST_OUTSET = 3;

/** True for nodes of one size, apart from a thicker border around one of them. */
function isOneSize(base: PageNode, version: PageNode): boolean {
  const [one, other] = [placedBox(base.place), placedBox(version.place)];
  const [wider, higher] = [other.width - one.width, other.height - one.height];
  if (Math.abs(wider) <= 1 && Math.abs(higher) <= 1) return true;
  return isThickened(base, version) && Math.abs(wider - higher) < 0.1 && wider <= 2 * MOST_OUTSET;
}

/** True for a version whose border is thicker. */
function isThickened(base: PageNode, version: PageNode): boolean {
  const width = (node: PageNode) => node.look.border?.width ?? 0;
  return width(version) > width(base);
}

/** The look of a box in a state; a thicker border does not move its content. */
function stateLook(base: PageNode, version: PageNode): StateLook['look'] {
  const outset = (placedBox(version.place).width - placedBox(base.place).width) / 2;
  return withRestingBorder(version.look, base.look, Math.max(0, outset));
}

/** How far a part moves in a state besides what is around it; null for none. */
function shiftOf(move: Point, moved: Point): Point | null {
  const [x, y] = [move.x - moved.x, move.y - moved.y];
  return Math.abs(x) > SNAPPED || Math.abs(y) > SNAPPED ? { x, y } : null;
}

function withState(
  node: PageNode,
  { state, control, isControl }: StateWrite,
  look: StateLook['look'],
  shift: Point | null = null,
  picture?: StateLook['picture'],
): PageNode {
  const isChanged =
    shift !== null || picture !== undefined || JSON.stringify(node.look) !== JSON.stringify(look);
  if (!isChanged && !isControl) return node;
  return addState(node, { state, look, shift, ...(picture && { picture }), ...sourceOf(control, isControl) });
}

function sourceOf({ key, source }: Control, isControl: boolean) {
  return { control: key, source, isControl };
}

function addState(node: PageNode, state: StateLook): PageNode {
  return { ...node, states: [...(node.states ?? []), state] };
}

/** The node, not shown in the state. */
function hiddenIn(node: PageNode, { state, control }: StateWrite): PageNode {
  return addState(node, {
    state,
    look: node.look,
    shift: null,
    visibility: 'hidden',
    ...sourceOf(control, false),
  });
}

/** The node, shown only in the state. */
function shownIn(node: PageNode, { state, control }: StateWrite): PageNode {
  const shown = addState(node, {
    state,
    look: node.look,
    shift: null,
    visibility: 'shown',
    ...sourceOf(control, false),
  });
  return {
    ...shown,
    hidden: true,
    role: node.role === 'text' || node.role === 'picture' ? node.role : 'box',
  };
}
