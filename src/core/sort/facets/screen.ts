import Joi from 'joi';
import { flagAttribute, type FacetEntry } from './facet';

/** Whether a group of the sheet is a screen. */
export const screen: FacetEntry<boolean> = {
  schema: Joi.boolean(),
  attribute: flagAttribute('data-screen', true),
  isShared: false,
  isCopied: false,
  current: () => null,
  search: null,
  editor: null,
};
