import Joi from 'joi';
import { textAttribute, textEditor, type FacetEntry } from './facet';

/** The largest gap between neighbours, px. */
const MOST = 1000;

/** Px between the layer's children, in a row or column. */
export const gap: FacetEntry<number> = {
  schema: Joi.number()
    .min(0)
    .max(MOST)
    .messages({
      'number.base': '{#value} is no gap: write px, such as 12',
      'number.min': 'A gap is 0 px or more',
      'number.max': `A gap is at most ${MOST} px`,
    }),
  attribute: textAttribute('data-gap', { isOnElements: true }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.layoutOverride.gap ?? null,
  search: null,
  editor: {
    ...textEditor<number>('Gap', 'Px between the children, in a row or column. Empty: as drawn.'),
    group: 'layout',
    none: 'as drawn',
    parse: (text) => (Number.isFinite(Number(text)) ? Number(text) : text),
    nearest: (text) => /\d+(?:\.\d+)?/.exec(text)?.[0] ?? null,
  },
};
