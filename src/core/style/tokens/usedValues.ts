import type { CssRule } from '../../markup/printCss';
import { valueKey } from '../../look/styleValue';
import type { ColourPlace, UsedValue } from './token';
import { colourPlace, valuesIn } from './valuesIn';

/** The values of a style sheet with their uses, in the order of their first one. */
export function usedValues(rules: readonly CssRule[]): readonly UsedValue[] {
  const used = new Map<
    string,
    UsedValue & { uses: number; readonly places: Partial<Record<ColourPlace, number>> }
  >();
  for (const { selector, declarations, isEcho } of rules) {
    // The file of a font is no value of the design.
    if (isEcho || selector === '@font-face') continue;
    for (const declaration of declarations) {
      for (const { kind, value } of valuesIn(declaration)) {
        const key = valueKey({ kind, value });
        const known = used.get(key) ?? { kind, value, uses: 0, places: {} };
        used.set(key, known);
        known.uses += 1;
        if (kind !== 'colour') continue;
        const place = colourPlace(declaration[0], selector);
        known.places[place] = (known.places[place] ?? 0) + 1;
      }
    }
  }
  return [...used.values()];
}
