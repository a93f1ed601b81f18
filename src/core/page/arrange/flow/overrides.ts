import { isFlowing } from '../../../sort/vocabulary';
import { mapBoxes, withChildren } from '../../mapBoxes';
import type { Page } from '../../frame';
import { layOut } from './layOut';
import { partOf } from './parts';
import { FILL_CONTAINER } from './sizing';

/** Lays out containers that a person set to be a row, a column or a grid, wherever they stand. */
export function layOutOverrides(page: Page): Page {
  return { ...page, children: page.children.map(flowWhereSaid) };
}

const flowWhereSaid = mapBoxes((node) => {
  const { contents } = node.layoutOverride ?? {};
  if (isFlowing(contents)) return { ...layOut(partOf(node), FILL_CONTAINER), place: node.place };
  return withChildren(node, node.children.map(flowWhereSaid));
});
