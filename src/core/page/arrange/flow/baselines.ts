import { isText, type Part } from './parts';

/** Where a part's first words stand, px down the screen, as the browser finds them (CSS Flexbox 1, §8.5); null for no words. */
export function baselineOf(part: Part): number | null {
  if (isText(part)) return part.node.place.y + part.node.baseline;
  // The words of a field become an input, which stands on its own.
  const [first] = part.node.role === 'field' ? [] : (part.content?.parts ?? []);
  return first ? baselineOf(first) : null;
}
