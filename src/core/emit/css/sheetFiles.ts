import { printCss, type CssRule } from '../../markup/printCss';
import type { EmitInput, EmittedFile } from '../target';
import { sheetRules } from './sheet';
import { namesValues, tokenFormatOf, unitOf } from './sheetOptions';
import { asInSheet, tokenSheet } from './sheetTokens';
import { rulesInUnit } from './units';

/** The style sheet that all pages share. */
export function printSheet(input: EmitInput): string {
  return printCss(rulesOfSheet(input));
}

/** Its rules, in the unit and with the values that a person chose. */
export function rulesOfSheet(input: EmitInput): readonly CssRule[] {
  const rules = namesValues(input) ? tokenSheet(input).rules : asInSheet(sheetRules(input), input, false);
  return rulesInUnit(rules, unitOf(input));
}

/** The tokens for other tools, in the format that a person chose; no file for none. */
export function tokenFile(input: EmitInput): readonly EmittedFile[] {
  const format = tokenFormatOf(input);
  return format ? [{ path: format.file, text: format.print(tokenSheet(input).tokens) }] : [];
}
