import Joi from 'joi';
import { ROLE_NAMES, type Role } from '../vocabulary';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** The semantic element of the layer. */
export const role: FacetEntry<Role> = {
  schema: Joi.string<Role>().valid(...ROLE_NAMES),
  attribute: textAttribute('data-role'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.role,
  search: searchBy('role', (decision) => (decision.outcome === 'element' ? decision.role : null)),
  editor: choiceEditor('Role', [...ROLE_NAMES.map((value) => ({ value, label: value })), AUTOMATIC]),
};
