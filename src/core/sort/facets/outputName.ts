import Joi from 'joi';
import { nameInCode } from '../tellingNames';
import { searchBy, textAttribute, textEditor, type FacetEntry } from './facet';

const MOST = 64;

/** The name of the layer's class or picture file, without an extension. */
export const outputName: FacetEntry<string> = {
  schema: Joi.string().trim().max(MOST),
  attribute: textAttribute('data-name', { most: MOST }),
  isShared: false,
  isCopied: false,
  current: nameInCode,
  search: searchBy('output', (decision) => decision.outputName),
  editor: {
    ...textEditor(
      'Output name',
      'The name of its class or picture file; a slash makes a folder. Empty: automatic.',
    ),
    none: 'automatic',
  },
};
