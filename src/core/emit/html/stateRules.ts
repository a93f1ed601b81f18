import { px } from '../../markup/numbers';
import type { CssRule, Declaration } from '../../markup/printCss';
import type { StyleClass, StyleSheet } from '../../style/styleSheet';
import type { State } from '../../sort/vocabulary';
import { lookDeclarations } from './declarations';

/** How CSS tells a state: pseudo-classes (Selectors 4, §9 and §10), and ARIA's attributes for what scripts switch. */
export const STATE_MARKS: Readonly<Record<State, readonly string[]>> = {
  hover: [':hover'],
  active: [':active'],
  focus: [':focus-visible'],
  disabled: [':disabled', '[aria-disabled="true"]'],
  checked: ['[aria-pressed="true"]', '[aria-checked="true"]'],
  selected: ['[aria-selected="true"]', '[aria-current]'],
  open: ['[aria-expanded="true"]'],
};

/** What taking a declaration away means. */
const INITIAL: ReadonlyMap<string, string> = new Map([
  ['background', 'none'],
  ['border', '0'],
  ['border-radius', '0'],
  ['box-shadow', 'none'],
  ['filter', 'none'],
  ['opacity', '1'],
  ['mix-blend-mode', 'normal'],
  ['clip-path', 'none'],
  ['text-decoration', 'none'],
]);

/** The rules for the states of a class: only what differs from its look at rest. */
export function stateRules(style: StyleClass, sheet: StyleSheet): readonly CssRule[] {
  return style.states.flatMap(({ state, look, shift, within }) => {
    const declarations = [
      ...changes(lookDeclarations(style.look), lookDeclarations(look)),
      ...(shift ? [['translate', `${px(shift.x)} ${px(shift.y)}`] as const] : []),
    ];
    if (declarations.length === 0) return [];
    const roots = within === null ? [style.name] : sheet.classesWithin(within);
    const part = within === null ? '' : ` .${style.name}`;
    const selectors = roots.flatMap((root) => STATE_MARKS[state].map((mark) => `.${root}${mark}${part}`));
    return selectors.length === 0 ? [] : [{ selector: selectors.join(',\n'), declarations }];
  });
}

function changes(rest: readonly Declaration[], state: readonly Declaration[]): readonly Declaration[] {
  const before = new Map(rest);
  const after = new Map(state);
  const gone = rest.flatMap(([property]): Declaration[] => {
    const initial = after.has(property) ? undefined : INITIAL.get(property);
    return initial === undefined ? [] : [[property, initial]];
  });
  return [...state.filter(([property, value]) => before.get(property) !== value), ...gone];
}
