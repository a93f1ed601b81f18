import type { CssRule } from '../../markup/printCss';
import { memoizeLast } from '../../mockup/memoize';
import type { StyleSheet } from '../../style/styleSheet';
import type { Token } from '../../style/tokens/token';
import { inTokens, withMergedValues, withTokens, type TokenSheet } from '../../style/tokens/tokens';
import { sheetRules, wornSheetRules, type SheetInput } from './sheet';

/** The style sheet of pages with its tokens, lengths in px. */
export function tokenSheet(input: SheetInput): TokenSheet {
  return lastSheet(input.sheet, [input.pages, input.plan, input.fonts, input.icons], () =>
    withTokens(sheetRules(input), input.sheet.values),
  );
}

const lastSheet = memoizeLast<StyleSheet, TokenSheet>();

/** The values of pages that have names, for targets without a style sheet: what elements wear changes none. */
export function namedValues(input: SheetInput): readonly Token[] {
  const { sheet, pages, plan, fonts } = input;
  return lastValues(
    sheet,
    [pages, plan, fonts],
    () => withTokens(wornSheetRules(input), sheet.values).tokens,
  );
}

const lastValues = memoizeLast<StyleSheet, readonly Token[]>();

/**
 * Rules of a style sheet, as it has them.
 * @param named true for values that are used again as custom properties
 */
export function asInSheet(rules: readonly CssRule[], input: SheetInput, named: boolean): readonly CssRule[] {
  const { values } = input.sheet;
  return named ? inTokens(rules, tokenSheet(input).tokens, values) : withMergedValues(rules, values);
}
