import Joi from 'joi';
import { flagAttribute, SAID_ELSEWHERE, type FacetEntry } from './facet';

/** Whether a group of the sheet is a screen. */
export const screen: FacetEntry<boolean> = {
  schema: Joi.boolean(),
  attribute: flagAttribute('data-screen', true),
  ...SAID_ELSEWHERE,
};
