import Joi from 'joi';
import { STATES, type State } from '../vocabulary';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** The state in which the layer shows the sibling at its place; `none` for an element of its own. */
export const state: FacetEntry<State | 'none'> = {
  schema: Joi.string<State | 'none'>().valid(...STATES, 'none'),
  attribute: textAttribute('data-state'),
  isShared: false,
  isCopied: false,
  current: (decision) => decision.state?.state ?? null,
  search: searchBy('state', (decision) => decision.state?.state ?? null),
  editor: {
    ...choiceEditor<State | 'none'>('State', [
      ...STATES.map((value) => ({ value, label: `${value} – how the layer beneath looks then` })),
      { value: 'none', label: 'none – a layer in its own right' },
      AUTOMATIC,
    ]),
    group: 'states',
  },
};
