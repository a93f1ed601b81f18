import { paints } from '../../../../look/look';
import { areOneSize, boxAround, sameBox, spread, type Box } from '../../../../mockup/box';
import { memoizeByObject } from '../../../../mockup/memoize';
import { ownName } from '../../../../sort/tellingNames';
import { placedBox } from '../../../placed';
import { BY_HAND, EXACT } from '../../../tolerances';
import { withChildren } from '../../../mapBoxes';
import type { Page } from '../../../frame';
import type { BoxNode, PageNode } from '../../../node';
import { moveNode } from '../../../moveNode';
import { withItemBoxes } from './itemBoxes';
import { shapeOf } from '../../../nodeShape';
import { middleOf } from '../../lengths';
import { ANCHORS } from '../xyCut';
import { slotsOf, type Slot } from './slots';

/**
 * Siblings that are built alike have their parts at the same places: what a designer's hand or the rounding of a program
 * moved by a px or two is where most of them have it. Places are px of the screen.
 */
export function likenSiblings(page: Page): Page {
  return { ...page, children: alignedWithin(page.children) };
}

const inside = memoizeByObject((node: PageNode): PageNode =>
  node.kind === 'box' ? withChildren(node, alignedWithin(node.children)) : node,
);

function alignedWithin(nodes: readonly PageNode[]): readonly PageNode[] {
  const own = nodes.map(inside);
  return likenedBy(shapeOf, likenedBy(thingOf, own));
}

/** Nodes of which those of one kind are likened. */
function likenedBy(kindOf: (node: BoxNode) => string, nodes: readonly PageNode[]): readonly PageNode[] {
  const groups = new Map<string, number[]>();
  nodes.forEach((node, at) => {
    if (node.kind !== 'box' || node.children.length === 0 || node.place.linear) return;
    const kind = kindOf(node);
    groups.set(kind, [...(groups.get(kind) ?? []), at]);
  });
  const changed = [...nodes];
  for (const group of groups.values()) {
    if (group.length < 2) continue;
    const boxes = group.map((at) => nodes[at] as BoxNode);
    const others = nodes.filter((_, at) => !group.includes(at));
    likened(boxes, others).forEach((box, index) => (changed[group[index]!] = box));
  }
  return changed;
}

/** What a box is: its role and its name, or how it is built where these say little. */
function thingOf(node: BoxNode): string {
  const name = ownName(node);
  return node.role === 'box' && name === null ? shapeOf(node) : `${node.role} ${name}`;
}

/** True for a box with several things of one kind. */
const holdsList = memoizeByObject(({ children }: BoxNode): boolean => {
  const things = children.flatMap((child) =>
    child.kind === 'box' && child.children.length > 0 ? [thingOf(child)] : [],
  );
  return new Set(things).size < things.length;
});

/** Boxes of one kind, with their sizes and the places of their parts where most have them. */
function likened(boxes: readonly BoxNode[], others: readonly PageNode[]): readonly BoxNode[] {
  const areAlike = new Set(boxes.map(shapeOf)).size === 1;
  // Lists of different lengths have nothing at one place but their start.
  if (!areAlike && boxes.some(holdsList)) return boxes;
  const isDrawn =
    boxes.every(({ look }) => paints(look)) ||
    (areAlike &&
      areOneSize(
        boxes.map(({ place }) => place),
        BY_HAND.place,
      ));
  const slots = slotsOf(boxes);
  // Content alone makes the box of what paints nothing: its parts are measured from one that all have.
  const anchors = isDrawn ? undefined : slots.find((slot) => slot.every((part) => part?.kind === 'text'));
  if (!isDrawn && !areAlike && !anchors) return boxes;
  const sized = anchors ? boxes : withSizes(boxes);
  const origins = sized.map((box, at) => (anchors?.[at] ?? box).place);
  const placed = slots.map((slot) => atOnePlace(likenedSlot(slot), origins));
  const made = sized.map((box, at) => {
    const parts = new Map(
      slots.flatMap((slot, index) => (slot[at] ? [[slot[at], placed[index]![at]!] as const] : [])),
    );
    const moved = withChildren(
      box,
      box.children.map((child) => parts.get(child) ?? child),
    );
    return anchors && moved !== box && sameBox(placedBox(box.place), contentBox(box), EXACT)
      ? { ...moved, place: { ...box.place, ...contentBox(moved) } }
      : moved;
  });
  return withItemBoxes(made, slotsOf(made), others);
}

function contentBox({ children }: BoxNode): Box {
  return boxAround(children.map(({ place }) => placedBox(place)));
}

/** A part at the place that most boxes have it at, from their origins. */
function atOnePlace(slot: Slot, origins: readonly { readonly x: number; readonly y: number }[]): Slot {
  const at = slot.flatMap((part, index) => (part ? [index] : []));
  // An edge is seen where it was drawn; words and icons may stand a little beside.
  const isEdged = slot.some((part) => part?.kind === 'box' && paints(part.look));
  const most = isEdged ? BY_HAND.border : BY_HAND.place;
  const parts = at.map((index) => ({ box: placedBox(slot[index]!.place), origin: origins[index]! }));
  const movesTo = (lengths: readonly number[]) =>
    agreed(lengths, most).map((length, position) => length - lengths[position]!);
  // Words of several widths stand at the edge that they have in common.
  const edges = ANCHORS.map((anchor) => parts.map(({ box, origin }) => anchor(box) - origin.x));
  const [edge] = edges.toSorted((one, other) => spread(one) - spread(other));
  const dx = movesTo(edge!);
  const dy = movesTo(parts.map(({ box, origin }) => box.y - origin.y));
  const moved = new Map(
    at.map((index, position) => [index, moveNode(slot[index]!, dx[position]!, dy[position]!)]),
  );
  return slot.map((_, index) => moved.get(index) ?? null);
}

/** The parts of a slot, themselves alike. */
function likenedSlot(slot: Slot): Slot {
  const parts = slot.filter((part) => part !== null);
  if (parts.length < 2) return slot;
  const known = likenedParts(parts).values();
  return slot.map((part) => (part === null ? null : known.next().value!));
}

function likenedParts(parts: readonly PageNode[]): readonly PageNode[] {
  if (parts.every((part): part is BoxNode => part.kind === 'box' && part.children.length > 0))
    return likened(parts, []);
  if (parts.every((part): part is BoxNode => part.kind === 'box')) return withSizes(parts);
  const picture = parts.find(({ kind }) => kind === 'picture');
  return picture ? parts.map((part) => inIconBox(part, picture.place)) : parts;
}

/** Boxes that draw an icon, in a box as large as that of an icon that is a picture, around their middle. */
function inIconBox(part: PageNode, { width, height }: PageNode['place']): PageNode {
  const { place, look } = part;
  const fits = place.width <= width && place.height <= height;
  if (part.kind !== 'box' || part.children.length === 0 || !fits || paints(look)) return part;
  const [x, y] = [place.x - (width - place.width) / 2, place.y - (height - place.height) / 2];
  return { ...part, place: { ...place, x: Math.round(x), y: Math.round(y), width, height } };
}

/** Boxes of one size, where all are near to it; words are as wide as they are. */
function withSizes(boxes: readonly BoxNode[]): readonly BoxNode[] {
  const [widths, heights] = (['width', 'height'] as const).map((side) =>
    agreed(
      boxes.map(({ place }) => place[side]),
      BY_HAND.place,
    ),
  );
  return boxes.map((box, at) => ({
    ...box,
    place: { ...box.place, width: widths![at]!, height: heights![at]! },
  }));
}

/** The share of lengths that have to be near to the middle one for it to be what was meant. */
const MOST = 2 / 3;

/**
 * What most lengths that are near to the middle one have, else the middle one of these, where most are near; else the
 * lengths as they are.
 */
function agreed(lengths: readonly number[], within: number): readonly number[] {
  const middle = middleOf(lengths);
  const isNear = (length: number) => Math.abs(length - middle) <= within;
  const near = lengths.filter(isNear);
  if (near.length < Math.max(2, MOST * lengths.length)) return lengths;
  const common = near.filter((length) => near.filter((each) => each === length).length * 2 > near.length);
  const agreedOn = common[0] ?? middleOf(near);
  return lengths.map((length) =>
    isNear(length) && Math.abs(length - agreedOn) <= within ? agreedOn : length,
  );
}
