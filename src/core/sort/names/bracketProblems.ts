import { closest, distance } from 'fastest-levenshtein';
import type { Report } from '../../findings/finding';
import type { Layer } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import { memoizeByObject } from '../../mockup/memoize';
import type { Mockup } from '../../mockup/mockup';
import { layersOf } from '../../mockup/walk';
import { invalidDataset } from './attributes';
import { parseBrackets, type BracketProblem } from './readBrackets';

/** Reports what is not understood in the names of layers and in the attributes of an SVG's elements. */
export function reportBrackets(mockup: Mockup, report: Report): void {
  for (const { layer, token, words } of problemsIn(mockup))
    report('bracket-unknown', layer.id, { token, hint: hintOf(token, words) });
}

const problemsIn = memoizeByObject(
  (mockup: Mockup): readonly (BracketProblem & { readonly layer: Layer })[] =>
    layersOf(mockup).flatMap((layer) => problemsOf(layer).map((problem) => ({ layer, ...problem }))),
);

function problemsOf({ sourceName, hints }: Layer): readonly BracketProblem[] {
  const { bare, brackets } = splitName(sourceName ?? '');
  // An index, as in `Row[2]`, is no tag.
  const said = [brackets, hints.data.tags].filter((text) => text !== null && text !== undefined);
  const own = said.filter((text) => !/^\d+$/.test(text)).flatMap((text) => parseBrackets(text).problems);
  const earlier = brackets === null ? null : splitName(bare).brackets;
  return [
    ...own,
    ...(earlier === null || /^\d+$/.test(earlier) ? [] : [{ token: `[${earlier}]`, words: [] }]),
    ...invalidDataset(hints.data).map((token) => ({ token, words: [] })),
  ];
}

/** How different a word may be and still be meant. */
const FARTHEST = 3;

function hintOf(token: string, words: readonly string[]): string {
  const [said = ''] = token.split(/[.:#=]/);
  const near = words.length === 0 ? '' : closest(said.toLowerCase(), [...words]);
  const isNear = near !== '' && distance(said.toLowerCase(), near) <= Math.min(FARTHEST, near.length / 2);
  if (isNear) return ` Did you mean ${near}?`;
  return token.includes(' ') ? ' Put a value with spaces in quotes.' : '';
}
