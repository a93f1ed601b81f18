import Joi from 'joi';
import { textAttribute, textEditor, type FacetEntry } from './facet';

/** The largest gap between neighbours, px. */
const MOST = 1000;

/** Px between the layer's children, in a row or column. */
export const gap: FacetEntry<number> = {
  schema: Joi.number()
    .min(0)
    .max(MOST)
    .messages({ 'number.base': '{#value} is no gap: write px, such as 12' }),
  attribute: textAttribute('data-gap', { isOnElements: true }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.layoutOverride.gap ?? null,
  search: null,
  editor: {
    ...textEditor<number>('Gap, px', 'Px between what is inside, in a row or column. Empty: as it is drawn.'),
    parse: (text) => (Number.isFinite(Number(text)) ? Number(text) : text),
  },
};
