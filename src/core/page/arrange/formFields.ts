import { contains } from '../../mockup/box';
import { isFieldRole } from '../../sort/vocabulary';
import type { Page } from '../frame';
import { mapBoxes } from '../mapBoxes';
import type { PageNode } from '../node';
import { placedBox } from '../placed';

/**
 * Puts the value of a form control into its box, with the icons beside it, and gives the radio buttons of a
 * group their common name. Places are px of the screen.
 */
export function formFields(page: Page): Page {
  const children = gather(page.children, 'choice').map(settle);
  return children.every((child, at) => child === page.children[at]) ? page : { ...page, children };
}

const settle = mapBoxes((node): PageNode => {
  const children = gather(node.children, node.name).map(settle);
  const isSame =
    children.length === node.children.length && children.every((child, at) => child === node.children[at]);
  return isSame ? node : { ...node, children };
});

/** @param name the name of what is around the nodes */
function gather(nodes: readonly PageNode[], name: string): readonly PageNode[] {
  const made: PageNode[] = [];
  const fields: number[] = [];
  for (const node of nodes) {
    const at = fields.findLast((each) => isInside(node, made[each]!));
    const field = at === undefined ? undefined : made[at];
    if (at !== undefined && field?.kind === 'box') {
      made[at] = { ...field, children: [...field.children, node] };
      continue;
    }
    if (isOpenField(node)) fields.push(made.length);
    made.push(node.role === 'radio' && node.kind === 'box' ? { ...node, choiceOf: name } : node);
  }
  return made.length === nodes.length && made.every((node, at) => node === nodes[at]) ? nodes : made;
}

function isOpenField(node: PageNode): boolean {
  return node.kind === 'box' && isFieldRole(node.role) && node.place.linear === null;
}

function isInside(node: PageNode, field: PageNode): boolean {
  return !node.hidden && contains(placedBox(field.place), placedBox(node.place), 1);
}
