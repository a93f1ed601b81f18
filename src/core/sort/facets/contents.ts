import Joi from 'joi';
import { CONTENTS, type Contents } from '../vocabulary';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** What stands for each layout. */
export const CONTENTS_WORDS: Readonly<Record<Contents, string>> = {
  row: 'in a row',
  column: 'in a column',
  grid: 'in a grid',
  nested: 'at their coordinates',
  exact: 'exactly as drawn, with all inside',
};

/** The layout of the layer's content. */
export const contents: FacetEntry<Contents> = {
  schema: Joi.string<Contents>().valid(...CONTENTS),
  attribute: textAttribute('data-contents', { isOnElements: true }),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.layoutOverride.contents ?? null,
  search: searchBy('contents', (decision) => decision.layoutOverride.contents ?? null),
  editor: {
    ...choiceEditor(
      'Children',
      [...CONTENTS.map((value) => ({ value, label: CONTENTS_WORDS[value] })), AUTOMATIC],
      'automatic',
    ),
    group: 'layout',
  },
};
