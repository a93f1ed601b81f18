import { bottom, type Box } from '../../../mockup/box';
import type { LayerKey } from '../../../mockup/layer';
import { placedBox } from '../../placed';
import { madeBox } from '../../made';
import type { Page } from '../../node';
import type { StateNode } from '../../states';
import { groupPage } from '../nested';
import { joinSentences } from '../sentences/joinSentences';
import { intoGaps } from './gaps';
import { withGround } from './ground';
import { evenLineHeights } from './lineHeights';
import { layingOut } from './layOut';
import { roomForLooseLines } from './loose/looseLines';
import { inSeenRoom } from './seenRoom';
import { STACK, WHOLE } from './stand';
import { tightenLines } from './tightLines';
import { contentOf, type Part } from './parts';

/**
 * Rows, columns and grids as the boxes stand; what overlaps on purpose lies loose in its nearest container.
 * @param waiting layers that need not be laid out anew yet
 */
export function flow(
  page: Page,
  versions: readonly StateNode[] = [],
  waiting: ReadonlySet<LayerKey> = new Set(),
): Page {
  const grouped = joinSentences(groupPage(page, versions));
  const grounded = withGround(intoGaps(evenLineHeights(tightenLines(grouped))));
  const screen = pageBox(grounded);
  const root: Part = {
    node: madeBox(page.name, page.screen, screen),
    box: screen,
    ...contentOf(
      grounded.children,
      { ...screen, y: -OVER, height: screen.height + OVER },
      { layer: page.screen },
    ),
  };
  const whole = layingOut(waiting)(root, WHOLE);
  if (whole.kind !== 'box') return grounded;
  const laid = page.frame.edge === 'clipped' ? inSeenRoom(whole, page.width) : whole;
  return roomForLooseLines(
    { ...grounded, children: laid.children, layout: laid.layout ?? STACK },
    screen.height,
  );
}

/** Px by which what flows may begin above the screen. */
const OVER = 24;

/** The screen, as high as what is on it: a page scrolls down. */
function pageBox({ width, height, children }: Page): Box {
  const ends = children.map(({ place }) => placedBox(place)).filter((box) => box.y < height && box.x < width);
  return { x: 0, y: 0, width, height: Math.max(height, ...ends.map(bottom)) };
}
