import { isListElement, ROLES, type Role } from '../vocabulary';
import type { GroupLayer } from '../../mockup/layer';
import { areNumbered } from './areNumbered';
import { namedRole } from './byName';
import type { RoleRule } from './roleRule';

/** ARIA roles whose HTML elements have other names (ARIA in HTML, §4). */
const ARIA: Readonly<Record<string, Role>> = {
  button: 'button',
  link: 'link',
  list: 'list',
  listitem: 'item',
  navigation: 'navigation',
  banner: 'header',
  contentinfo: 'footer',
  main: 'main',
  region: 'section',
  article: 'article',
  textbox: 'field',
  searchbox: 'field',
  combobox: 'field',
  figure: 'figure',
  definition: 'description',
  grid: 'table',
  /** A group of rows has no element of its own here: the rows of a table stand in it. */
  rowgroup: 'box',
  columnheader: 'header-cell',
  rowheader: 'header-cell',
  gridcell: 'cell',
};

/** True for a list that is called so, or whose parts are numbered. */
function isOrdered(list: GroupLayer): boolean {
  const parts = list.layers.filter(({ visible, kind }) => visible && kind !== 'shape');
  return namedRole(list) === 'ordered-list' || (parts.length > 1 && areNumbered(parts));
}

/** The role in the source: a link's address or an ARIA role. */
export const bySource: RoleRule = (layer, outcome, facts, { parent }) => {
  if (outcome !== 'element' || layer.kind === 'shape') return null;
  if (layer.hints.href !== undefined) return { role: 'link', reason: `links to ${layer.hints.href}` };
  const said = layer.hints.role;
  const role = said === undefined ? undefined : (ARIA[said] ?? (said in ROLES ? (said as Role) : undefined));
  // An item stands in a list; an item of a menu is one of its choices.
  if (role === 'item' && !isListElement(parent)) return null;
  if (!role || layer.kind !== 'group') return null;
  const reason = `the mockup gives it the role ${said}`;
  const place = facts.places.get(layer.id);
  if (role === 'list' && place?.role === 'navigation') return place;
  // ARIA has one role for lists with and without an order.
  return role === 'list' && isOrdered(layer)
    ? { role: 'ordered-list', reason: `${reason}, and it is in an order` }
    : { role, reason };
};
