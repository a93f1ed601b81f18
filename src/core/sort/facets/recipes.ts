import Joi from 'joi';
import { textAttribute, type FacetEntry } from './facet';

/** The name of a recipe for pictures. */
export const RECIPE_NAME = /^[a-z][a-z0-9-]{0,39}$/;

/** The recipes by which the files of a picture are made. */
export const recipes: FacetEntry<readonly string[]> = {
  schema: Joi.array()
    .items(
      Joi.string().pattern(RECIPE_NAME).messages({
        'string.pattern.base': '{#value} is no name of a recipe: lower case letters, digits and hyphens',
      }),
    )
    .min(1)
    .max(10)
    .unique(),
  attribute: {
    ...textAttribute<string>('data-recipe'),
    print: (value) => value.join(' '),
    parse: (text) => text.split(/\s+/).filter(Boolean),
  },
  isShared: true,
  isCopied: true,
  current: (decision) => decision.recipes,
  search: { field: 'recipe', values: (decision) => decision.recipes ?? [] },
  editor: {
    label: 'Recipes',
    group: 'meaning',
    hint: 'How its files are made: web, icon, photo, clear-photo, responsive, ios, android, or a recipe of your own.',
    none: 'automatic',
    isFor: ({ outcome }) => outcome === 'picture',
    print: (value) => value.join(' '),
    parse: (text) => text.split(/\s+/),
  },
};
