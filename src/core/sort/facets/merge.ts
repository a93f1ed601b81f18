import Joi from 'joi';
import { textAttribute, type FacetEntry } from './facet';

const MOST = 64;

/** The picture that the layer forms with all layers of its screen that name the same one. */
export const merge: FacetEntry<string> = {
  schema: Joi.string().trim().max(MOST),
  attribute: textAttribute('data-merge', { isOnElements: true, most: MOST }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.merge?.name ?? null,
  search: null,
  editor: null,
};
