import Joi from 'joi';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** What the class of a sample gives to its wearers. */
export const HOLDS = ['look', 'size', 'place'] as const;
export type Holds = (typeof HOLDS)[number];

const WORDS: Readonly<Record<Holds, string>> = {
  look: 'its look',
  size: 'its look and size',
  place: 'its look, size and place',
};

/** What the class of a sample holds: its look alone, its size as well, or its place in the group around, too. */
export const holds: FacetEntry<Holds> = {
  schema: Joi.string<Holds>().valid(...HOLDS),
  attribute: textAttribute('data-holds'),
  isShared: false,
  isCopied: true,
  current: (decision) => decision.holds,
  search: searchBy('holds', (decision) => decision.holds),
  editor: {
    ...choiceEditor(
      'Sample gives',
      [...HOLDS.map((value) => ({ value, label: WORDS[value] })), AUTOMATIC],
      'its look',
    ),
    isFor: ({ outcome }) => outcome === 'sample',
  },
};
