import Joi from 'joi';
import { searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

const MOST = 400;

/** A note for the developer. */
export const note: FacetEntry<string> = {
  schema: Joi.string().trim().max(MOST),
  attribute: textAttribute('data-note', { isOnElements: true, most: MOST }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.note,
  search: searchBy('note', (decision) => decision.note),
  editor: textEditor('Note', 'A remark for the developer; it stands in the code as a comment.'),
};
