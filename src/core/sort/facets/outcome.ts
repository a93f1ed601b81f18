import Joi from 'joi';
import { OUTCOMES, OUTCOME_NAMES, type Outcome } from '../vocabulary';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** What the layer becomes. */
export const outcome: FacetEntry<Outcome> = {
  schema: Joi.string<Outcome>().valid(...OUTCOME_NAMES),
  attribute: textAttribute('data-becomes'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.outcome,
  search: searchBy('becomes', (decision) => decision.outcome),
  editor: choiceEditor('Becomes', [
    ...OUTCOME_NAMES.map((value) => ({ value, label: `${value} – ${OUTCOMES[value].says}` })),
    AUTOMATIC,
  ]),
};
