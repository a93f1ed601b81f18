import Joi from 'joi';
import { AUTOMATIC, choiceEditor, flagAttribute, type FacetEntry } from './facet';

/** On the page, but hidden at first. */
export const hidden: FacetEntry<boolean> = {
  schema: Joi.boolean(),
  attribute: { ...flagAttribute('hidden'), print: (value) => (value ? '' : 'false') },
  isShared: true,
  isCopied: true,
  current: (decision) => decision.hidden,
  search: { field: 'starts', values: (decision) => (decision.hidden ? ['hidden'] : []) },
  editor: {
    ...choiceEditor<boolean>('Starts', [
      { value: true, label: 'hidden at first' },
      { value: false, label: 'shown at first' },
      AUTOMATIC,
    ]),
    print: (value) => (value ? 'hidden' : 'shown'),
  },
};
