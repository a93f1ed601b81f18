import { BY_HAND } from '../../tolerances';
import { area, bottom, contains, overlaps, type Box } from '../../../mockup/box';
import type { BoxNode, PageNode } from '../../node';
import { hasWords } from './nodePredicates';
import { borderAsShadow } from '../../rewrite/borderAsShadow';
import { nodeBoxes } from './nodeBoxes';

/** Roles that may take in nodes that lie on them: containers without a meaning for single words. */
const HOLDERS: ReadonlySet<string> = new Set([
  ...['box', 'article', 'section', 'item', 'main', 'header', 'footer', 'figure', 'navigation'],
]);

/** Moves nodes into the boxes that they are drawn on, unless that changes their order with a node between. */
export function reparentContained(children: readonly PageNode[]): readonly PageNode[] {
  if (!children.some(canHold)) return children;
  const { boxes, touching } = nodeBoxes(children);
  const holder: (number | null)[] = [];
  const isHeldBy = (held: number, by: number): boolean => {
    const next = holder[held] ?? null;
    return next !== null && (next === by || isHeldBy(next, by));
  };
  const holderOf = (child: PageNode, at: number): number | null => {
    if (child.hidden) return null;
    const box = boxes[at]!;
    const under = touching(at).filter((other) => other < at);
    const holds = under
      .filter(
        (other) =>
          canHold(children[other]!) &&
          area(boxes[other]!) > area(box) &&
          (contains(boxes[other]!, box, BY_HAND.overlap) ||
            (hasWords(child) && beginsAt(boxes[other]!, box))),
      )
      .at(-1);
    if (holds === undefined) return null;
    const between = under.filter((other) => other > holds && overlaps(boxes[other]!, box, BY_HAND.overlap));
    return between.every((other) => isHeldBy(other, holds)) ? holds : null;
  };
  children.forEach((child, at) => holder.push(holderOf(child, at)));
  if (holder.every((at) => at === null)) return children;
  const inside = children.map((): number[] => []);
  holder.forEach((at, child) => at !== null && inside[at]!.push(child));
  const build = (at: number): PageNode => {
    const node = children[at]!;
    const taken = inside[at]!;
    return node.kind === 'box' && taken.length > 0
      ? borderAsShadow({ ...node, children: [...node.children, ...taken.map(build)] })
      : node;
  };
  return children.flatMap((_, at) => (holder[at] === null ? build(at) : []));
}

/** True for a node that starts at a box's top edge, with the leading of its first line above it. */
function beginsAt(box: Box, inside: Box): boolean {
  return (
    inside.y >= box.y - BY_HAND.overhang &&
    contains({ ...box, y: inside.y, height: bottom(box) - inside.y }, inside)
  );
}

export function canHold(node: PageNode): boolean {
  const { fills, border, sides, shadows, clip } = node.look;
  return isOpen(node) && (fills ?? border ?? sides ?? shadows ?? clip) !== undefined;
}

/** True for a container in which nodes look as they do outside. */
export function isOpen(node: PageNode): node is BoxNode {
  if (node.kind !== 'box' || node.place.linear || node.hidden || !HOLDERS.has(node.role)) return false;
  const { opacity, filters, blend, clip, fillInset } = node.look;
  const isDressed = [fillInset, opacity, filters, blend].some((each) => each !== undefined);
  return !isDressed && clip?.kind !== 'path';
}
