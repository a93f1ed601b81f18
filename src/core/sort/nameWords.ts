import type { Layer } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import { memoizeText } from '../mockup/memoize';

/** The words of a layer's name in lower case, whatever stands between them: `navBar_main2` is nav, bar, main, 2. h1–h6 stay whole. */
export const nameWords = memoizeText((name: string): readonly string[] =>
  name
    .replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2')
    .toLowerCase()
    .replace(/(\p{L}{2,})(\p{N})/gu, '$1 $2')
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== ''),
);

/** True when one of the words is in the layer's name. */
export function isCalled({ sourceName }: Layer, words: ReadonlySet<string>): boolean {
  return nameWords(splitName(sourceName ?? '').bare).some((word) => words.has(word));
}
