import Joi from 'joi';
import { searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

/** The name of the content that the program fills in at run time. */
export const slot: FacetEntry<string> = {
  schema: Joi.string()
    .pattern(/^[\w-]+$/)
    .max(64)
    .messages({ 'string.pattern.base': '{#value} is no slot name: use letters, digits, hyphens' }),
  attribute: textAttribute('data-slot', { isOnElements: true }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.slot,
  search: searchBy('slot', (decision) => decision.slot),
  editor: textEditor('Slot', 'The name of what the program fills in at run time.'),
};
