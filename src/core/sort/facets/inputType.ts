import Joi from 'joi';
import { INPUT_TYPES, type InputType } from '../vocabulary';
import { AUTOMATIC, choiceEditor, searchBy, textAttribute, type FacetEntry } from './facet';

/** What is typed into a field (HTML, §4.10.5 the input element). */
export const inputType: FacetEntry<InputType> = {
  schema: Joi.string<InputType>().valid(...INPUT_TYPES),
  attribute: textAttribute('type'),
  isShared: true,
  isCopied: true,
  current: (decision) => decision.inputType,
  search: searchBy('type', (decision) => decision.inputType),
  editor: {
    ...choiceEditor(
      'Input type',
      [...INPUT_TYPES.map((value) => ({ value, label: value })), AUTOMATIC],
      'automatic',
    ),
    isFor: ({ role }) => role === 'field',
  },
};
