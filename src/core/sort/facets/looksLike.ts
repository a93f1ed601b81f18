import Joi from 'joi';
import type { LayerId } from '../../mockup/layer';
import { SAID_ELSEWHERE, type FacetEntry } from './facet';

/** The layer whose look it takes, without a sample between them. */
export const looksLike: FacetEntry<LayerId> = {
  schema: Joi.string().max(64),
  attribute: null,
  ...SAID_ELSEWHERE,
};
