import { anonymousBox } from '../../anonymousBox';
import type { Page } from '../../frame';
import { layOut } from './layOut';
import { contentBox } from './contentBox';
import { contentOf, type Part } from './parts';
import { COLUMN_LAYOUT, FILL_CONTAINER } from './sizing';

/** Rows, columns and grids as the boxes stand. Intended overlaps are out of flow in their nearest container. */
export function layOutPage(page: Page): Page {
  const screen = contentBox(page);
  const root: Part = {
    node: anonymousBox(page.name, page.screen, screen),
    box: screen,
    ...contentOf(
      page.children,
      { ...screen, y: -OVERHANG_ABOVE, height: screen.height + OVERHANG_ABOVE },
      { layer: page.screen },
    ),
  };
  const whole = layOut(root, FILL_CONTAINER);
  if (whole.kind !== 'box') return page;
  return { ...page, children: whole.children, layout: whole.layout ?? COLUMN_LAYOUT };
}

/** Px above the screen at which content in the flow may start. */
const OVERHANG_ABOVE = 24;
