import { memoizeByObject } from '../../../mockup/memoize';
import { BY_HAND } from '../../tolerances';
import { withChildren } from '../../mapBoxes';
import type { Page } from '../../frame';
import type { BoxNode, PageNode } from '../../node';
import { moveNode } from '../../states/moveNode';

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
  const groups = new Map<string, number[]>();
  own.forEach((node, at) => {
    if (node.kind !== 'box' || node.children.length === 0 || node.place.linear) return;
    const shape = shapeOf(node);
    groups.set(shape, [...(groups.get(shape) ?? []), at]);
  });
  const changed = [...own];
  for (const group of groups.values()) {
    if (group.length < 2) continue;
    const alike = likened(group.map((at) => own[at] as BoxNode));
    group.forEach((at, index) => (changed[at] = alike[index]!));
  }
  return changed;
}

/** How a node is built: its kinds and roles, without words and looks. */
const shapeOf = memoizeByObject((node: PageNode): string =>
  node.kind === 'box'
    ? `${node.role}(${node.children.map(shapeOf).join(' ')})`
    : `${node.kind} ${node.role}${node.kind === 'text' && node.lines.length > 1 ? ' lines' : ''}`,
);

/** Boxes of one build, with their sizes and the places of their parts where most have them. */
function likened(boxes: readonly BoxNode[]): readonly BoxNode[] {
  const [widths, heights] = (['width', 'height'] as const).map((side) =>
    agreed(boxes.map(({ place }) => place[side])),
  );
  const sized = boxes.map((box, at) => ({
    ...box,
    place: { ...box.place, width: widths![at]!, height: heights![at]! },
  }));
  const count = Math.min(...boxes.map(({ children }) => children.length));
  const columns = Array.from({ length: count }, (_, slot) => {
    const parts = sized.map((box) => box.children[slot]!);
    const [xs, ys] = (['x', 'y'] as const).map((side) =>
      agreed(parts.map((part, at) => part.place[side] - sized[at]!.place[side])),
    );
    const moved = parts.map((part, at) =>
      moveNode(
        part,
        sized[at]!.place.x + xs![at]! - part.place.x,
        sized[at]!.place.y + ys![at]! - part.place.y,
      ),
    );
    return moved.every((part): part is BoxNode => part.kind === 'box' && part.children.length > 0)
      ? likened(moved)
      : withSizes(moved);
  });
  return sized.map((box, at) => ({ ...box, children: columns.map((column) => column[at]!) }));
}

/** Boxes and pictures of one size; words are as wide as they are. */
function withSizes(parts: readonly PageNode[]): readonly PageNode[] {
  if (parts.some(({ kind }) => kind !== 'box')) return parts;
  const [widths, heights] = (['width', 'height'] as const).map((side) =>
    agreed(parts.map(({ place }) => place[side])),
  );
  return parts.map((part, at) => ({
    ...part,
    place: { ...part.place, width: widths![at]!, height: heights![at]! },
  }));
}

/** The middle of the lengths for all of them, where all are near to it; else the lengths as they are. */
function agreed(lengths: readonly number[]): readonly number[] {
  const middle = lengths.toSorted((one, other) => one - other)[Math.floor(lengths.length / 2)]!;
  return lengths.every((length) => Math.abs(length - middle) <= BY_HAND.place)
    ? lengths.map(() => middle)
    : lengths;
}
