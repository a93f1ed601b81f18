import type { CssRule } from '../../markup/printCss';
import { inRem } from '../../markup/units';
import type { Unit } from '../../page/frame';

/** The rules with lengths in the page's unit. */
export function rulesInUnit(rules: readonly CssRule[], unit: Unit): readonly CssRule[] {
  if (unit === 'px') return rules;
  return rules.map((rule) => ({ ...rule, declarations: rule.declarations.map(inRem) }));
}
