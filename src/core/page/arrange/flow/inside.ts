import { ofBoxes, withChildren } from '../../ofBoxes';
import type { Page } from '../../node';
import { layOut } from './layOut';
import { partOf } from './parts';
import { WHOLE } from './stand';

/** Containers of which a person said that they are a row or a column are one, wherever they stand themselves. */
export function flowInside(page: Page): Page {
  return { ...page, children: page.children.map(flowWhereSaid) };
}

const flowWhereSaid = ofBoxes((node) => {
  const { contents } = node.wish ?? {};
  if (contents === 'row' || contents === 'column')
    return { ...layOut(partOf(node), WHOLE), place: node.place };
  return withChildren(node, node.children.map(flowWhereSaid));
});
