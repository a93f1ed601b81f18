import { rememberOf } from '../../../mockup/remember';
import type { Page, PageNode } from '../../node';
import { layOut } from './layOut';
import { partOf } from './parts';
import { WHOLE } from './stand';

/** Containers of which a person said that they are a row or a column are one, wherever they stand themselves. */
export function flowInside(page: Page): Page {
  return { ...page, children: page.children.map(flowWhereSaid) };
}

const flowWhereSaid = rememberOf(flowAnew);

function flowAnew(node: PageNode): PageNode {
  if (node.kind !== 'box') return node;
  const { contents } = node.wish ?? {};
  if (contents === 'row' || contents === 'column')
    return { ...layOut(partOf(node), WHOLE), place: node.place };
  const children = node.children.map(flowWhereSaid);
  return children.every((child, at) => child === node.children[at]) ? node : { ...node, children };
}
