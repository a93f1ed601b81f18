import equal from 'fast-deep-equal';
import { type CssRule } from '../../markup/printCss';
import { quoteFamily } from '../../markup/families';
import { formatNumber } from '../../markup/numbers';
import type { StandIn } from '../../type/standIns';
import { newerFormats } from '../../pictures/picture';
import { impliedClasses } from '../implied/impliedClasses';
import type { EmitInput, FontFile } from '../target';
import { baseRules } from './base';
import { bodyTypeOf } from './bodyType';
import { elementRules } from './elementRules';
import { themeRules, type ThemeRules } from './themeRules';

export type SheetInput = Pick<EmitInput, 'pages' | 'sheet' | 'plan' | 'fonts' | 'icons'>;

/** The rules of the style sheet that all pages share, lengths in px and every value written out. */
export function sheetRules(input: SheetInput): readonly CssRule[] {
  return withElements(input, impliedClasses(input).inSelectors(elementRules(input)));
}

/** The same for pages whose elements wear all of their classes: they look alike, and no edit needs a look at whole pages. */
export function wornSheetRules(input: SheetInput): readonly CssRule[] {
  return withElements(input, elementRules(input));
}

function withElements(input: SheetInput, elements: readonly CssRule[]): readonly CssRule[] {
  const { fonts, pages, sheet, plan } = input;
  const themed = themeRules(sheet.classes, sheet.themes, sheet.schemes);
  const body = bodyTypeOf(sheet);
  const base = baseRules(
    pages,
    plan.pictures.some((picture) => newerFormats(picture).length > 0),
    body,
    input.icons !== undefined,
  ).map((rule) => withThemedGround(rule, pages, sheet, themed));
  return [
    ...fonts.map(fontRule),
    ...(sheet.standIns ?? []).map(standInRule),
    ...themed.values,
    ...base,
    ...elements,
  ];
}

/** The window around a page has the ground of its theme, too. */
function withThemedGround(
  rule: CssRule,
  pages: EmitInput['pages'],
  sheet: EmitInput['sheet'],
  { withVariables }: ThemeRules,
): CssRule {
  const ground = pages.find(({ themes }) => themes)?.ground;
  if (rule.selector !== 'body' || !ground) return rule;
  const look = { fills: [{ kind: 'solid', colour: ground }] };
  const style = sheet.classes.find((each) => each.themes.length > 0 && equal(each.look, look));
  return style ? { ...rule, declarations: withVariables(style, rule.declarations) } : rule;
}

/** A local face at the width that words were drawn with; it is taken where the families before it are missing. */
function standInRule({ family, local, weight, italic, sizeAdjust, ascent, descent }: StandIn): CssRule {
  // The adjustment scales the metrics as well (CSS Fonts 5, §6).
  const unadjusted = (share: number) => `${formatNumber((share / sizeAdjust) * 100, 1)}%`;
  return {
    selector: '@font-face',
    declarations: [
      ['font-family', quoteFamily(family)],
      ['font-weight', String(weight)],
      ['font-style', italic ? 'italic' : 'normal'],
      ['src', local.map((name) => `local("${name}")`).join(', ')],
      ['size-adjust', `${formatNumber(sizeAdjust * 100, 1)}%`],
      ['ascent-override', unadjusted(ascent)],
      ['descent-override', unadjusted(descent)],
    ],
  };
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
