import { type CssRule } from '../../markup/printCss';
import { quoteFamily } from '../../markup/families';
import type { EmitInput, FontFile } from '../target';
import { baseRules } from './base';
import { classDeclarations } from './declarations';
import { isShownByState, stateRules } from './stateRules';
import { rulesInUnit } from './units';
import { widthRules } from './widthRules';

/** The rules of the style sheet that all pages share, lengths in the page's unit. */
export function sheetOf(input: EmitInput): readonly CssRule[] {
  return rulesInUnit(sheetRules(input), input.unit);
}

function sheetRules(input: EmitInput): CssRule[] {
  const { fonts, pages, sheet, plan } = input;
  const classes = sheet.classes.flatMap((each): CssRule[] => {
    const shown = classDeclarations(each);
    const declarations = isShownByState(each)
      ? [['display', 'none'] as const, ...shown.filter(([property]) => property !== 'display')]
      : shown;
    const rules = stateRules(each, { sheet, plan });
    return declarations.length > 0 ? [{ selector: `.${each.name}`, declarations }, ...rules] : [...rules];
  });
  return [...fonts.map(fontRule), ...baseRules(pages), ...classes, ...widthRules(input)];
}

function fontRule(font: FontFile): CssRule {
  return {
    selector: '@font-face',
    declarations: [
      ['font-family', quoteFamily(font.family)],
      ['font-weight', String(font.weight)],
      ['font-style', font.italic ? 'italic' : 'normal'],
      ['src', `url("${font.path}")`],
    ],
  };
}
