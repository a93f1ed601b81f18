import Joi from 'joi';
import { SAID_ELSEWHERE, type FacetEntry } from './facet';
import { lookName } from './lookName';

/** The names that no class of the style sheet may have: a facet of the whole mockup. */
export const forbidden: FacetEntry<readonly string[]> = {
  schema: Joi.array()
    .items(lookName.schema)
    .unique()
    .max(200)
    .messages({ 'array.unique': 'a name is forbidden twice' }),
  attribute: null,
  ...SAID_ELSEWHERE,
};
