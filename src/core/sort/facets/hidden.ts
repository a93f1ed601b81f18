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
    ...choiceEditor<boolean>('Initially', [
      { value: true, label: 'hidden' },
      { value: false, label: 'visible' },
      AUTOMATIC,
    ]),
    group: 'states',
    print: (value) => (value ? 'hidden' : 'visible'),
  },
};
