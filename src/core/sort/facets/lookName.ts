import Joi from 'joi';
import { nearestName, textAttribute, textEditor, type FacetEntry } from './facet';

/** The name of the class that holds the layer's look, for all layers that share it. */
export const lookName: FacetEntry<string> = {
  schema: Joi.string()
    .pattern(/^[A-Za-z_][\w-]*$/)
    .max(64)
    .messages({
      'string.pattern.base': '{#value} is no class name: a letter, then letters, digits and hyphens',
    }),
  attribute: textAttribute('data-look'),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.lookName,
  search: null,
  editor: {
    ...textEditor<string>('Look name', 'The class name of its look, for all layers that share it.'),
    none: 'automatic',
    nearest: nearestName,
  },
};
