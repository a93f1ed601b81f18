import { isButton } from '../vocabulary';
import { namedRole } from './byName';
import type { RoleRule } from './roleRule';

/** A picture that is called a button is a button with that picture. */
export const byButtonName: RoleRule = (layer) => {
  const role = namedRole(layer);
  return role && isButton(role) ? { role, reason: `its name says "${role}"` } : null;
};
