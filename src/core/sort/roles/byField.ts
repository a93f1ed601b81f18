import { walk } from '../../mockup/walk';
import { namedRole } from './byName';
import type { RoleRule } from './roleRule';

/** The box of a form control is the control; a group around one is none itself, whatever it is called. */
export const byField: RoleRule = (layer, outcome, { fields }, { states }) => {
  const field = fields.get(layer.id);
  if (field) return { role: field.role, reason: field.reason };
  if (layer.kind !== 'group' || !['field', 'select'].includes(namedRole(layer) ?? '')) return null;
  // What opens is drawn open too: no list of the browser's own.
  const opens = states.find((state) => state === 'open' || state === 'closed');
  if (opens) return { role: 'button', reason: `it has the state ${opens}` };
  const holdsField = walk(layer).some(({ id }) => fields.has(id));
  return holdsField ? { role: 'box', reason: 'it holds a field and its label' } : null;
};
