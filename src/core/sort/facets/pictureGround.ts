import Joi from 'joi';
import { textAttribute, textEditor, type FacetEntry } from './facet';

/** What lies under a picture: a colour, or `none` to take away the shape that it stands on. */
export const pictureGround: FacetEntry<string> = {
  schema: Joi.string()
    .lowercase()
    .pattern(/^(?:none|#[0-9a-f]{6})$/)
    .messages({ 'string.pattern.base': '{#value} is no ground: write none, or a colour such as #f4f0e6' }),
  attribute: textAttribute('data-picture-ground'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.pictureOverride.ground ?? null,
  search: null,
  editor: {
    ...textEditor<string>(
      'Picture ground',
      'none (the shape that it stands on is left out), or a colour beneath it such as #f4f0e6.',
    ),
    none: 'automatic',
    isFor: ({ outcome }) => outcome === 'picture',
  },
};
