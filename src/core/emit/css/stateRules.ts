import { px } from '../../markup/numbers';
import type { CssRule, Declaration } from '../../markup/printCss';
import { mainFile, type PicturePlan } from '../../pictures/picture';
import type { StyleClass } from '../../style/styleSheet';
import type { EmitInput } from '../target';
import type { StateSource } from '../../page/states/controlKey';
import type { State } from '../../sort/vocabulary';
import { declarationDiff } from './declarationDiff';
import { lookDeclarations } from './declarations';
import { layoutDeclarations } from './placing';

/**
 * The selectors of a state on its control: pseudo-classes (Selectors 4, §9 and §10), and ARIA attributes for
 * scripted states.
 */
const STATE_SELECTORS: Readonly<Record<State, readonly string[]>> = {
  hover: [':hover'],
  active: [':active'],
  focus: [':focus-visible'],
  disabled: ['[aria-disabled="true"]'],
  checked: ['[aria-pressed="true"]', '[aria-checked="true"]'],
  unchecked: ['[aria-pressed="false"]', '[aria-checked="false"]'],
  selected: ['[aria-selected="true"]', '[aria-current]'],
  open: ['[aria-expanded="true"]'],
  closed: ['[aria-expanded="false"]'],
};

/** What differs for elements that have the state themselves, or hold an input that has it. */
const OF_ELEMENTS: Readonly<Record<StateSource, Readonly<Partial<Record<State, readonly string[]>>>>> = {
  aria: {},
  button: {
    disabled: [':disabled'],
    checked: ['[aria-pressed="true"]'],
    unchecked: ['[aria-pressed="false"]'],
  },
  label: {
    focus: [':has(:focus-visible)'],
    disabled: [':has(:disabled)'],
    checked: [':has(:checked)'],
    unchecked: [':has(input:not(:checked))'],
  },
};

/** All selectors of a state, on whatever element, the longest first. */
export function selectorsOfState(state: State): readonly string[] {
  const own = Object.values(OF_ELEMENTS).flatMap((marks) => marks[state] ?? []);
  const all = new Set([...STATE_SELECTORS[state], ...own]);
  return [...all].sort((one, other) => other.length - one.length);
}

/** The state rules of a class: only differences from the resting look. */
export function stateRules(
  style: StyleClass,
  { sheet, plan }: Pick<EmitInput, 'sheet' | 'plan'>,
): readonly CssRule[] {
  return style.states.flatMap(({ state, look, picture, shift, visibility, control, source, isControl }) => {
    const roots = isControl ? [style.name] : sheet.classesOfControl(control);
    const part = isControl ? '' : ` .${style.name}`;
    const marks = marksOf(source, state);
    const rule = (ending: string, declarations: readonly Declaration[]): CssRule[] => {
      const selectors = roots.flatMap((root) => marks.map((mark) => `.${root}${mark}${part}${ending}`));
      const isSomething = selectors.length > 0 && declarations.length > 0;
      return isSomething ? [{ selector: selectors.join(',\n'), declarations }] : [];
    };
    if (visibility === 'hidden') return rule('', [['visibility', 'hidden']]);
    if (visibility === 'shown') return rule('', [['display', displayOf(style)]]);
    const looks = [
      ...declarationDiff(lookDeclarations(style.look), lookDeclarations(look)),
      ...(shift ? [['translate', `${px(shift.x)} ${px(shift.y)}`] as const] : []),
    ];
    const shown = picture ? shownPicture(picture.name, plan) : [];
    return picture?.wrapped ? [...rule('', looks), ...rule(' > img', shown)] : rule('', [...shown, ...looks]);
  });
}

function marksOf(source: StateSource, state: State): readonly string[] {
  return OF_ELEMENTS[source][state] ?? STATE_SELECTORS[state];
}

/** What takes away the sign that every control shows: the ring of focus, and in the flow the answer to the pointer. */
const WITHOUT_SIGN = {
  focus: ['outline', 'none'],
  hover: ['filter', 'none'],
  // What is pressed is under the pointer, too.
  active: ['filter', 'none'],
} as const;

/**
 * Controls whose state the mockup draws, on themselves or on a part of them, show no other sign of it.
 * @param classes the classes whose states are looked at
 */
export function drawnStateRules(
  sheet: EmitInput['sheet'],
  classes: readonly StyleClass[] = sheet.classes,
): readonly CssRule[] {
  return (['focus', 'hover', 'active'] as const).flatMap((state): CssRule[] => {
    if (state !== 'focus' && !sheet.flows) return [];
    const selectors = new Set(
      classes.flatMap(({ name, states }) =>
        states
          .filter((each) => each.state === state)
          .flatMap(({ control, source, isControl }) =>
            (isControl ? [name] : sheet.classesOfControl(control)).flatMap((root) =>
              marksOf(source, state).map((mark) => `.${root}${mark}`),
            ),
          ),
      ),
    );
    return selectors.size > 0
      ? [{ selector: [...selectors].join(',\n'), declarations: [WITHOUT_SIGN[state]] }]
      : [];
  });
}

/** True for a class of elements that only a state shows. */
export function isShownByState({ states }: Pick<StyleClass, 'states'>): boolean {
  return states.some(({ visibility }) => visibility === 'shown');
}

function displayOf({ layout, look }: StyleClass): string {
  const declared = layout ? layoutDeclarations(layout, look.type?.rightToLeft) : [];
  return declared.find(([property]) => property === 'display')?.[1] ?? 'block';
}

/** An element whose content is an image shows that image (CSS Content 3, §2). */
function shownPicture(wanted: string, plan: PicturePlan): readonly Declaration[] {
  const path = mainFile(plan, wanted)?.path;
  return path === undefined ? [] : [['content', `url("${path}")`]];
}
