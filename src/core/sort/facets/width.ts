import Joi from 'joi';
import { WIDTHS, type PartWidth } from '../vocabulary';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

const WORDS: Readonly<Record<PartWidth, string>> = {
  fit: 'fits its content',
  rest: 'takes the rest',
  drawn: 'as drawn',
};
const EARLIER: Readonly<Record<string, PartWidth>> = { hug: 'fit', fill: 'rest', set: 'drawn' };

/** The layer's width in the row or column around it. */
export const width: FacetEntry<PartWidth> = {
  schema: Joi.string<PartWidth>().valid(...WIDTHS),
  attribute: {
    ...textAttribute<PartWidth>('data-width', { isOnElements: true }),
    earlier: { name: 'data-wide', parse: (text) => EARLIER[text] },
  },
  isShared: false,
  isCopied: false,
  current: (decision) => decision.layoutOverride.width ?? null,
  search: searchBy('width', (decision) => decision.layoutOverride.width ?? null),
  editor: {
    ...choiceEditor(
      'Width',
      [...WIDTHS.map((value) => ({ value, label: WORDS[value] })), AUTOMATIC],
      'automatic',
    ),
    group: 'layout',
  },
};
