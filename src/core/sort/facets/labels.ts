import Joi from 'joi';
import { searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

const MOST = 120;

/** The name of the field that a text labels (HTML, §4.10.4 the label element). */
export const labels: FacetEntry<string> = {
  schema: Joi.string().trim().min(1).max(MOST),
  attribute: textAttribute('for', { most: MOST }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.labels,
  search: searchBy('labels', (decision) => decision.labels),
  editor: textEditor('Label of', 'The name of the field that this text labels. Empty: the field beside it.'),
};
