import { bottom, type Box } from '../../../mockup/box';
import { placedBox } from '../../placed';
import { anonymousBox } from '../../anonymousBox';
import type { Page } from '../../frame';
import type { StateNode } from '../../states';
import { groupPage } from '../nested';
import { joinSentences } from '../sentences/joinSentences';
import { moveIntoGaps } from './moveIntoGaps';
import { withGround } from './ground';
import { inferLineHeights } from './lineHeights';
import { layOut } from './layOut';
import { growOutOfFlowLines } from './outOfFlow/growLines';
import { limitToVisibleRoom } from './visibleRoom';
import { COLUMN_LAYOUT, FILL_CONTAINER } from './sizing';
import { inferTightLineHeights } from './tightLines';
import { contentOf, type Part } from './parts';

/** Rows, columns and grids as the boxes stand. Intended overlaps are out of flow in their nearest container. */
export function flow(page: Page, versions: readonly StateNode[] = []): Page {
  const grouped = joinSentences(groupPage(page, versions));
  const grounded = withGround(moveIntoGaps(inferLineHeights(inferTightLineHeights(grouped))));
  const screen = pageBox(grounded);
  const root: Part = {
    node: anonymousBox(page.name, page.screen, screen),
    box: screen,
    ...contentOf(
      grounded.children,
      { ...screen, y: -OVERHANG_ABOVE, height: screen.height + OVERHANG_ABOVE },
      { layer: page.screen },
    ),
  };
  const whole = layOut(root, FILL_CONTAINER);
  if (whole.kind !== 'box') return grounded;
  const laid = page.frame.edge === 'clipped' ? limitToVisibleRoom(whole, page.width) : whole;
  return growOutOfFlowLines(
    { ...grounded, children: laid.children, layout: laid.layout ?? COLUMN_LAYOUT },
    screen.height,
  );
}

/** Px above the screen at which content in the flow may start. */
const OVERHANG_ABOVE = 24;

/** The screen's box, extended to the end of its content: a page scrolls down. */
function pageBox({ width, height, children }: Page): Box {
  const ends = children.map(({ place }) => placedBox(place)).filter((box) => box.y < height && box.x < width);
  return { x: 0, y: 0, width, height: Math.max(height, ...ends.map(bottom)) };
}
