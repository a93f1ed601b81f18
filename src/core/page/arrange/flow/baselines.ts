import { isFieldRole } from '../../../sort/vocabulary';
import { isText, type Part } from './parts';

/**
 * The baseline of a part's first words, px of the screen, as browsers find it (CSS Flexbox 1, §8.5); null
 * without words.
 */
export function baselineOf(part: Part): number | null {
  if (isText(part)) return part.node.place.y + part.node.baseline;
  // The words of a field become an input, which is placed by itself.
  const [first] = isFieldRole(part.node.role) ? [] : (part.content?.parts ?? []);
  return first ? baselineOf(first) : null;
}
