import type { CssRule } from '../../markup/printCss';
import type { EmitInput } from '../target';
import { framesOf } from './frames';
import { classSelector, modifiersOf } from './modifiers';
import { placedClasses } from './placedClasses';
import { drawnStateRules, isShownByState, stateRules } from './stateRules';
import { themeRules } from './themeRules';
import { widthRules } from './widthRules';
import { windowRules } from './windowRules';

/** The rules of classes, in every window and in narrower ones, with a class name in each selector. */
export function elementRules(input: Pick<EmitInput, 'pages' | 'sheet' | 'plan'>): readonly CssRule[] {
  const { sheet, plan } = input;
  const modifiers = modifiersOf(sheet);
  const themed = themeRules(sheet.classes, sheet.themes, sheet.schemes);
  const classes = sheet.classes.flatMap((each): CssRule[] => {
    const shown = modifiers.declarationsOf(each, (said) => themed.withVariables(each, said));
    const declarations = isShownByState(each)
      ? [['display', 'none'] as const, ...shown.filter(([property]) => property !== 'display')]
      : shown;
    const rules = [...themed.rulesOf(each), ...stateRules(each, { sheet, plan })];
    return declarations.length > 0 ? [{ selector: classSelector(each), declarations }, ...rules] : [...rules];
  });
  const wide = [
    ...framesOf(input).rules,
    ...drawnStateRules(sheet),
    ...classes,
    ...placedClasses(input).rules,
  ];
  return [...wide, ...windowRules(input, wide), ...widthRules(input)];
}
