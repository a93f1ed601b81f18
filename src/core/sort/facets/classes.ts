import Joi from 'joi';
import { nearestName, type FacetEntry } from './facet';

const CLASS_NAME = /^-?[_a-zA-Z][\w-]*$/;

/** Class names of the layer's element. Between brackets they stand in the compound selector. */
export const classes: FacetEntry<readonly string[]> = {
  schema: Joi.array()
    .items(
      Joi.string().pattern(CLASS_NAME).max(64).messages({
        'string.pattern.base':
          '{#value} is no class name: letters, digits and hyphens only, beginning with a letter',
      }),
    )
    .max(12),
  attribute: null,
  isShared: true,
  isCopied: true,
  current: (decision) => (decision.classes.length > 0 ? decision.classes : null),
  search: { field: 'class', values: (decision) => decision.classes },
  editor: {
    label: 'Classes',
    group: 'meaning',
    hint: 'Class names, a space between them. Empty: none.',
    none: 'none',
    print: (value) => value.join(' '),
    parse: (text) => text.split(/\s+/),
    nearest: (text) =>
      text
        .split(/\s+/)
        .flatMap((name) => nearestName(name) ?? [])
        .join(' ') || null,
  },
};
