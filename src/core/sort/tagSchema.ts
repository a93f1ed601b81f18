import Joi from 'joi';
import { isSafeHref } from '../mockup/href';
import { CONTENTS, MOST_GAP, OUTCOME_NAMES, ROLE_NAMES, SCROLLS, STATES, WIDTHS } from './vocabulary';
import { LIMITS } from '../read/limits';
import type { Region, Tag } from './tag';

const CLASS_NAME = /^-?[_a-zA-Z][\w-]*$/;

/** A tag as it crosses a border: from the interface, a file, the database. */
export const tagSchema = Joi.object<Tag>({
  outcome: Joi.string().valid(...OUTCOME_NAMES),
  role: Joi.string().valid(...ROLE_NAMES),
  classes: Joi.array()
    .items(
      Joi.string()
        .pattern(CLASS_NAME)
        .max(64)
        .messages({ 'string.pattern.base': '{#value} is no class name: use letters, digits, hyphens' }),
    )
    .max(12),
  outputName: Joi.string().trim().max(64),
  hidden: Joi.boolean(),
  slot: Joi.string()
    .pattern(/^[\w-]+$/)
    .max(64)
    .messages({ 'string.pattern.base': '{#value} is no slot name: use letters, digits, hyphens' }),
  href: Joi.string()
    .trim()
    .pattern(/^\S+$/)
    .custom((value: string, helpers) => (isSafeHref(value) ? value : helpers.error('string.pattern.base')))
    .max(400)
    .messages({
      'string.pattern.base': '{#value} is no address for a link: write #name, a file, or https://…',
    }),
  scroll: Joi.string().valid(...SCROLLS),
  contents: Joi.string().valid(...CONTENTS),
  gap: Joi.number().min(0).max(MOST_GAP).messages({
    'number.base': '{#value} is no gap: write px, such as 12',
  }),
  wide: Joi.string().valid(...WIDTHS),
  note: Joi.string().trim().max(400),
  merge: Joi.string().trim().max(64),
  state: Joi.string().valid(...STATES, 'none'),
  screen: Joi.boolean(),
  regions: Joi.array()
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
});

/** A file of tags: layer keys and their tags. */
export const tagsFileSchema = Joi.object<Record<string, Tag>>().pattern(Joi.string().max(2000), tagSchema);
