import { boxAround } from '../../../mockup/box';
import { isPlain } from '../../../look/look';
import { placedBox } from '../../placed';
import type { BoxNode, PageNode } from '../../node';
import type { Page } from '../../frame';
import { mapBoxes, withChildren } from '../../mapBoxes';
import { unwrapTextGroup } from '../../rewrite/unwrapTextGroup';
import { pieceOf, type Piece } from './pieces';
import { sentencesOf } from './sentence';

/**
 * Joins the texts of one sentence, such as a bold word or a link among plain ones, into one text with spans.
 * Each piece starts in the line in which the one before ended, after a space or nothing. Places are px of the
 * screen.
 */
export function joinSentences(page: Page): Page {
  return { ...page, children: joinAll(page.children) };
}

const joined = mapBoxes((node) => {
  const made = withChildren(node, joinAll(node.children));
  return made === node ? node : (unwrapTextGroup(made) ?? withRoom(made, node));
});

/** A group without a look has the size of the joined sentence's lines. */
function withRoom(made: BoxNode, before: BoxNode): BoxNode {
  const known = new Set(before.children);
  const changed = made.children.filter((child) => !known.has(child));
  if (!isPlain(made.look) || made.place.linear) return made;
  return {
    ...made,
    place: { ...made.place, ...boxAround([made, ...changed].map(({ place }) => placedBox(place))) },
  };
}

function joinAll(nodes: readonly PageNode[]): readonly PageNode[] {
  const children: PageNode[] = [];
  let run: Piece[] = [];
  const close = () => {
    children.push(...sentencesOf(run));
    run = [];
  };
  for (const child of nodes.map(joined)) {
    const piece = pieceOf(child);
    if (!piece) close();
    if (piece) run.push(piece);
    else children.push(child);
  }
  close();
  return children;
}
