import type { Declaration } from '../../markup/printCss';

/** What taking a declaration away means: the property's initial value, or what the page's own rules set. */
const INITIAL: ReadonlyMap<string, string> = new Map([
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
  ['min-height', '0'],
  ['flex', 'initial'],
  ['align-self', 'auto'],
  ['margin', '0'],
  ['margin-top', '0'],
  ['margin-right', '0'],
  ['margin-bottom', '0'],
  ['margin-left', '0'],
  ['transform', 'none'],
]);

/** What has to be said where some declarations already hold, for others to hold instead. */
export function changes(
  before: readonly Declaration[],
  after: readonly Declaration[],
): readonly Declaration[] {
  const [held, wanted] = [new Map(before), new Map(after)];
  const gone = before.flatMap(([property]): Declaration[] => {
    const initial = wanted.has(property) ? undefined : INITIAL.get(property);
    return initial === undefined ? [] : [[property, initial]];
  });
  // What is taken away first cannot take back what a longer property says.
  return [...gone, ...after.filter(([property, value]) => !isSame(held.get(property), value))];
}

/** Whether two values are alike but for hundredths of a px. */
function isSame(one: string | undefined, other: string): boolean {
  const rough = (value: string) => value.replace(/\d+\.\d+(?=px)/g, (number) => Number(number).toFixed(2));
  return one !== undefined && rough(one) === rough(other);
}
