import Joi from 'joi';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** What of a layer and those inside it is moved to whole px. */
export const ALIGNED = ['shapes', 'all'] as const;
export type Aligned = (typeof ALIGNED)[number];

/** Whether the edges of a layer are moved to whole px of the build; the mockup stays as it is. */
export const align: FacetEntry<Aligned> = {
  schema: Joi.string<Aligned>().valid(...ALIGNED),
  attribute: textAttribute('data-align'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.align,
  search: searchBy('align', (decision) => decision.align),
  editor: choiceEditor<Aligned>(
    'Sharp edges',
    [
      { value: 'shapes', label: 'shapes and bitmaps on whole px' },
      { value: 'all', label: 'texts on whole px, too' },
      AUTOMATIC,
    ],
    'as drawn',
  ),
};
