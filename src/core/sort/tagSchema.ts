import Joi from 'joi';
import { FACET_NAMES, FACETS } from './facets/facets';
import type { Tag } from './tag';

/** Validates a tag at a border: from the interface, a file, the database. */
export const tagSchema = Joi.object<Tag>(
  Object.fromEntries(FACET_NAMES.map((facet) => [facet, FACETS[facet].schema])),
);

/** Validates a file of tags: paths of layers and their tags. */
export const tagsFileSchema = Joi.object<Record<string, Tag>>().pattern(Joi.string().max(2000), tagSchema);
