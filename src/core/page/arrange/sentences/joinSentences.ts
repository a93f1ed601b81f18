import { boxAround } from '../../../mockup/box';
import { isPlain } from '../../../look/look';
import { placedBox } from '../../placed';
import type { BoxNode, Page, PageNode } from '../../node';
import { ofBoxes, withChildren } from '../../ofBoxes';
import { soleText } from '../soleText';
import { pieceOf, type Piece } from './pieces';
import { sentencesOf } from './sentence';

/**
 * Words of one sentence that the mockup has as several texts, a bold word or a link among plain ones, become one text with
 * runs: each begins in the line in which the one before it ended, a space or nothing after it. Places are those of the screen.
 */
export function joinSentences(page: Page): Page {
  return { ...page, children: joinAll(page.children) };
}

const joined = ofBoxes((node) => {
  const made = withChildren(node, joinAll(node.children));
  return made === node ? node : (soleText(made) ?? withRoom(made, node));
});

/** A group that shows nothing is as large as the lines of what became a sentence in it. */
function withRoom(made: BoxNode, before: BoxNode): BoxNode {
  const known = new Set(before.children);
  const changed = made.children.filter((child) => !known.has(child));
  if (!isPlain(made.look) || made.place.turn) return made;
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
