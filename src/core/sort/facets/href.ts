import Joi from 'joi';
import { isSafeHref } from '../../mockup/href';
import { searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

/** The target of the layer's link: an address, or `#` and the name of a screen or layer. */
export const href: FacetEntry<string> = {
  schema: Joi.string()
    .trim()
    .pattern(/^\S+$/)
    .custom((value: string, helpers) => (isSafeHref(value) ? value : helpers.error('string.pattern.base')))
    .max(400)
    .messages({
      'string.pattern.base': '{#value} is no address: write https://…, a file, or # and a name',
    }),
  attribute: textAttribute('href'),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.href,
  search: searchBy('link', (decision) => decision.href),
  editor: textEditor('Link to', 'An address, or # and the name of a screen or layer.'),
};
