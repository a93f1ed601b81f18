import Joi from 'joi';
import { textEditor, type FacetEntry } from './facet';

const MOST = 300;
/** How people write that a picture says nothing. */
const DECORATIVE = 'decorative';

/** The alternative text of a picture; empty for one that is only decoration (HTML, §4.8.4.4). */
export const alt: FacetEntry<string> = {
  schema: Joi.string().trim().allow('').max(MOST),
  attribute: {
    name: 'alt',
    print: String,
    parse: (text) => text.slice(0, MOST),
    isOnElements: false,
  },
  isShared: false,
  isCopied: false,
  current: (decision) => decision.alternative,
  search: {
    field: 'alt',
    values: (decision) => (decision.alternative === null ? [] : [decision.alternative]),
  },
  editor: {
    ...textEditor<string>(
      'Alt text',
      'What the picture says to those who do not see it. “decorative” for a picture that says nothing. Empty: automatic.',
    ),
    none: 'automatic',
    print: (value) => (value === '' ? DECORATIVE : value),
    parse: (text) => (text.toLowerCase() === DECORATIVE ? '' : text),
  },
};
