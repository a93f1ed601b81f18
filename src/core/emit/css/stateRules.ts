import { px } from '../../markup/numbers';
import type { CssRule, Declaration } from '../../markup/printCss';
import { pictureNamed, type PicturePlan } from '../../pictures/picture';
import type { StyleClass } from '../../style/styleSheet';
import type { EmitInput } from '../target';
import type { State } from '../../sort/vocabulary';
import { declarationDiff } from './declarationDiff';
import { lookDeclarations } from './declarations';

/**
 * The selectors of a state: pseudo-classes (Selectors 4, §9 and §10), and ARIA attributes for scripted
 * states.
 */
export const STATE_SELECTORS: Readonly<Record<State, readonly string[]>> = {
  hover: [':hover'],
  active: [':active'],
  focus: [':focus-visible'],
  disabled: [':disabled', '[aria-disabled="true"]'],
  checked: ['[aria-pressed="true"]', '[aria-checked="true"]'],
  selected: ['[aria-selected="true"]', '[aria-current]'],
  open: ['[aria-expanded="true"]'],
};

/** The state rules of a class: only differences from the resting look. */
export function stateRules(
  style: StyleClass,
  { sheet, plan }: Pick<EmitInput, 'sheet' | 'plan'>,
): readonly CssRule[] {
  return style.states.flatMap(({ state, look, picture, shift, within }) => {
    const roots = within === null ? [style.name] : sheet.classesWithin(within);
    const part = within === null ? '' : ` .${style.name}`;
    const rule = (ending: string, declarations: readonly Declaration[]): CssRule[] => {
      const selectors = roots.flatMap((root) =>
        STATE_SELECTORS[state].map((mark) => `.${root}${mark}${part}${ending}`),
      );
      const isSomething = selectors.length > 0 && declarations.length > 0;
      return isSomething ? [{ selector: selectors.join(',\n'), declarations }] : [];
    };
    const looks = [
      ...declarationDiff(lookDeclarations(style.look), lookDeclarations(look)),
      ...(shift ? [['translate', `${px(shift.x)} ${px(shift.y)}`] as const] : []),
    ];
    const shown = picture ? shownPicture(picture.name, plan) : [];
    return picture?.wrapped ? [...rule('', looks), ...rule(' > img', shown)] : rule('', [...shown, ...looks]);
  });
}

/** An element whose content is an image shows that image (CSS Content 3, §2). */
function shownPicture(wanted: string, plan: PicturePlan): readonly Declaration[] {
  const path = pictureNamed(plan, wanted)?.files[0]?.path;
  return path === undefined ? [] : [['content', `url("${path}")`]];
}
