import Joi from 'joi';
import type { Box } from '../../mockup/box';
import { LIMITS } from '../../read/limits';
import { SAID_ELSEWHERE, type FacetEntry } from './facet';

/** A part of a bitmap, px in its layer's own coordinates. */
export interface Region extends Box {
  readonly name: string;
}

/** Parts of a bitmap that become layers. */
export const regions: FacetEntry<readonly Region[]> = {
  schema: Joi.array()
    .items(
      Joi.object<Region>({
        name: Joi.string().trim().min(1).max(64).required(),
        x: Joi.number().min(-LIMITS.screen).max(LIMITS.screen).required(),
        y: Joi.number().min(-LIMITS.screen).max(LIMITS.screen).required(),
        width: Joi.number().positive().max(LIMITS.screen).required(),
        height: Joi.number().positive().max(LIMITS.screen).required(),
      }),
    )
    .unique('name')
    .max(500)
    .messages({ 'array.unique': 'two regions have the same name; give each its own' }),
  attribute: null,
  ...SAID_ELSEWHERE,
};
