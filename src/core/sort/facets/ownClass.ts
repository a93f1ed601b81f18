import { textAttribute, type FacetEntry } from './facet';
import { lookName } from './lookName';

/** The name of a class that the layer's look has apart from equal looks. */
export const ownClass: FacetEntry<string> = {
  schema: lookName.schema,
  attribute: textAttribute('data-own-class'),
  isShared: false,
  isCopied: true,
  current: (decision) => decision.ownClass,
  search: null,
  editor: null,
};
