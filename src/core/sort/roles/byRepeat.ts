import type { GroupLayer, Layer } from '../../mockup/layer';
import type { Facts } from '../facts';
import { isListElement } from '../vocabulary';
import { areNumbered } from './areNumbered';
import { namedRole } from './byName';
import type { RoleRule } from './roleRule';

/** The smallest number of like-built parts in a list. */
const FEWEST_ITEMS = 3;

/**
 * A group of only like-built parts with texts is a list, and the parts are its items. Parts that begin with one number
 * after the other are in an order.
 */
export const byRepeat: RoleRule = (layer, outcome, facts, { parent }) => {
  if (outcome !== 'element' || layer.kind !== 'group') return null;
  const repeat = facts.repeats.get(layer.id);
  if (repeat && isListElement(parent))
    return { role: 'item', reason: `one of ${repeat.count} parts that are built alike` };
  const items = itemsOf(layer, facts);
  if (items.length < FEWEST_ITEMS) return null;
  return areNumbered(items)
    ? { role: 'ordered-list', reason: `${items.length} parts that are built alike and numbered` }
    : { role: 'list', reason: `${items.length} parts that are built alike` };
};

/** The like-built parts of a group without other content than backgrounds and separators; none for others. */
function itemsOf(group: GroupLayer, { repeats, contents }: Facts): readonly Layer[] {
  const parts = group.layers.filter((layer) => layer.visible && layer.kind !== 'shape');
  const [first] = parts;
  const pattern = first && repeats.get(first.id)?.pattern;
  const alike = (layer: Layer) => repeats.get(layer.id)?.pattern === pattern && contents(layer).texts > 0;
  // Parts of a single text are words in a row; an item has more.
  // Cards in a row stay cards.
  const other = (layer: Layer) => !['item', 'link', undefined].includes(namedRole(layer));
  const more = (layer: Layer) => contents(layer).texts + contents(layer).shapes + contents(layer).bitmaps > 1;
  return pattern !== undefined && parts.every(alike) && parts.some(more) && !parts.some(other) ? parts : [];
}
