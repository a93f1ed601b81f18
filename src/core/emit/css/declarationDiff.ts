import type { Declaration } from '../../markup/printCss';

/** The value that removes a declaration: the property's initial value, or that of the base rules. */
const RESET_VALUES: ReadonlyMap<string, string> = new Map([
  ['background', 'none'],
  ['border', '0'],
  ['border-top', '0'],
  ['border-right', '0'],
  ['border-bottom', '0'],
  ['border-left', '0'],
  ['border-radius', '0'],
  ['box-shadow', 'none'],
  ['filter', 'none'],
  ['opacity', '1'],
  ['mix-blend-mode', 'normal'],
  ['isolation', 'auto'],
  ['overflow', 'visible'],
  ['clip-path', 'none'],
  ['text-decoration', 'none'],
  ['text-shadow', 'none'],
  ['letter-spacing', 'normal'],
  ['word-spacing', 'normal'],
  ['text-align', 'start'],
  ['font-style', 'normal'],
  ['font-variant', 'normal'],
  ['font-weight', '400'],
  ['white-space', 'normal'],
  ['display', 'block'],
  ['flex-direction', 'row'],
  ['grid-template-columns', 'none'],
  ['justify-content', 'normal'],
  ['align-items', 'normal'],
  ['gap', 'normal'],
  ['padding', '0'],
  ['position', 'relative'],
  ['left', 'auto'],
  ['right', 'auto'],
  ['top', 'auto'],
  ['bottom', 'auto'],
  ['width', 'auto'],
  ['height', 'auto'],
  ['min-width', 'auto'],
  ['max-width', 'none'],
  ['min-height', 'auto'],
  ['flex', 'initial'],
  ['align-self', 'auto'],
  ['margin', '0'],
  ['margin-top', '0'],
  ['margin-right', '0'],
  ['margin-bottom', '0'],
  ['margin-left', '0'],
  ['transform', 'none'],
]);

/** True for a property that a later rule can take back. */
export function isResettable(property: string): boolean {
  return RESET_VALUES.has(property);
}

/** The declarations that turn one set of declarations into another. */
export function declarationDiff(
  before: readonly Declaration[],
  after: readonly Declaration[],
): readonly Declaration[] {
  const [held, wanted] = [new Map(before), new Map(after)];
  const gone = before.flatMap(([property]): Declaration[] => {
    const initial = wanted.has(property) ? undefined : RESET_VALUES.get(property);
    return initial === undefined ? [] : [[property, initial]];
  });
  // Removals come first, so that they cannot override a shorthand after them.
  return [...gone, ...after.filter(([property, value]) => !isSameValue(held.get(property), value))];
}

/** True for values that differ by hundredths of a px at most. */
function isSameValue(one: string | undefined, other: string): boolean {
  const rough = (value: string) => value.replace(/\d+\.\d+(?=px)/g, (number) => Number(number).toFixed(2));
  return one !== undefined && rough(one) === rough(other);
}
