import { splitName } from '../../mockup/layerName';
import { nameWords } from '../nameWords';
import type { RoleRule } from './roleRule';

/** Common practice, no source: the height of a line with a box to check, px. */
const HIGHEST = 80;

/** A group that is called a checkbox or a radio button, in one line, is one. */
export const byCheck: RoleRule = (layer, outcome, { measures }) => {
  if (outcome !== 'element' || layer.kind !== 'group') return null;
  const name = nameWords(splitName(layer.sourceName ?? '').bare).join(' ');
  const role = /\b(?:check ?box)\b/.test(name)
    ? 'checkbox'
    : /\bradio(?: ?button)?\b/.test(name)
      ? 'radio'
      : null;
  const isMany = /\b(?:group|list|set|row|boxes|buttons)$/.test(name);
  const height = measures.get(layer.id)?.painted?.height ?? 0;
  return role && !isMany && height <= HIGHEST ? { role, reason: `its name says "${role}"` } : null;
};
