import type { Page } from '../../node';
import { nested } from '../nested';
import { groundOf } from './ground';
import { layOut, WHOLE } from './layOut';
import { contentOf, type Part } from './parts';

/** Rows, columns and grids as the boxes stand; what overlaps on purpose lies loose in its nearest container. */
export function flow(page: Page): Page {
  const { page: grounded } = groundOf(nested(page));
  const { width, height } = grounded;
  const screen = { x: 0, y: 0, width, height };
  const root: Part = {
    node: {
      kind: 'box',
      layer: page.screen,
      made: true,
      name: page.name,
      named: true,
      role: 'box',
      classes: [],
      place: { kind: 'fixed', ...screen, hugs: false, turn: null },
      look: {},
      hidden: false,
      children: [],
    },
    box: screen,
    ...contentOf(grounded.children, screen, { layer: page.screen }),
  };
  const laid = layOut(root, WHOLE);
  if (laid.kind !== 'box') return grounded;
  return { ...grounded, children: laid.children, ...(laid.layout && { layout: laid.layout }) };
}
