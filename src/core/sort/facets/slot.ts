import Joi from 'joi';
import { nearestName, searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

/** The name of the content that the program fills in at run time. */
export const slot: FacetEntry<string> = {
  schema: Joi.string()
    .pattern(/^[\w-]+$/)
    .max(64)
    .messages({ 'string.pattern.base': '{#value} is no slot name: letters, digits and hyphens only' }),
  attribute: textAttribute('data-slot', { isOnElements: true }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.slot,
  search: searchBy('slot', (decision) => decision.slot),
  editor: {
    ...textEditor<string>('Slot', 'The name of what the program fills in at run time.'),
    nearest: nearestName,
  },
};
