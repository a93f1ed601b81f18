import Joi from 'joi';
import { SCROLLS, type Scroll } from '../vocabulary';
import { choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

const WORDS: Readonly<Record<Scroll, string>> = {
  x: 'horizontally',
  y: 'vertically',
  both: 'both ways',
};

/** The direction in which the layer's content scrolls. */
export const scroll: FacetEntry<Scroll> = {
  schema: Joi.string<Scroll>().valid(...SCROLLS),
  attribute: textAttribute('data-scroll', { isOnElements: true }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.scroll,
  search: searchBy('scroll', (decision) => decision.scroll),
  editor: {
    ...choiceEditor('Scrolls', [
      ...SCROLLS.map((value) => ({ value, label: WORDS[value] })),
      { value: null, label: 'not at all' },
    ]),
    group: 'layout',
    none: 'not at all',
  },
};
