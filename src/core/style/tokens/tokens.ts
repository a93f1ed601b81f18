import type { CssRule, Declaration } from '../../markup/printCss';
import { colourNames } from './colourNames';
import { fontNames, radiusNames, shadowNames, sizeNames, stepNames } from './valueNames';
import { nearValues } from './nearValues';
import { isLengthKind, valueKey, type TokenKind } from '../../look/styleValue';
import type { NearValues, SaidValues, Token, UsedValue } from './token';
import { usedValues } from './usedValues';
import { coloursIn, replaceFound, withValues, type TextFor } from './valuesIn';

/** A style sheet with its tokens. */
export interface TokenSheet {
  readonly rules: readonly CssRule[];
  readonly tokens: readonly Token[];
  /** Values that are no tokens. */
  readonly others: readonly UsedValue[];
  /** Values that are nearly equal. */
  readonly near: readonly NearValues[];
}

type Namer = (values: readonly UsedValue[], taken: ReadonlySet<string>) => ReadonlyMap<string, string>;

/** The uses that make a value a token: distances are alike by chance more often (common practice, no source). */
const FEWEST_USES: Readonly<Record<TokenKind, number>> = {
  colour: 2,
  font: 2,
  text: 2,
  space: 3,
  radius: 2,
  shadow: 2,
};

const NAMERS: Readonly<Record<TokenKind, Namer>> = {
  colour: colourNames,
  font: fontNames,
  text: sizeNames,
  space: stepNames,
  radius: radiusNames,
  shadow: shadowNames,
};

/**
 * The rules with values that are used again as custom properties of the root (CSS Variables 1, §2). Every element keeps
 * its computed style, apart from what a person said.
 */
export function withTokens(rules: readonly CssRule[], said: SaidValues): TokenSheet {
  const merged = withMergedValues(rules, said);
  const all = usedValues(merged);
  // The colours of a shadow that becomes a token are used once, in the token.
  const shadows = all.filter((each) => each.kind === 'shadow' && isToken(each, said));
  const inShadows = usedValues(
    shadows.map(({ value }) => ({ selector: ':root', declarations: [['--shadow', value]] })),
  );
  const values = withUses(all, inShadows);
  const near = nearValues(values);
  const taken = new Set(merged.flatMap(({ declarations }) => declarations.flatMap(customName)));
  for (const name of said.names.values()) taken.add(name);
  const tokens = (Object.keys(NAMERS) as TokenKind[]).flatMap((kind): Token[] => {
    const own = values.filter((each) => each.kind === kind && isToken(each, said));
    const names = NAMERS[kind](
      own.filter((each) => !said.names.has(valueKey(each))),
      taken,
    );
    for (const name of names.values()) taken.add(name);
    const made = own.flatMap((each) => {
      const name = said.names.get(valueKey(each)) ?? names.get(each.value);
      return name === undefined ? [] : [{ ...each, name }];
    });
    return isLengthKind(kind)
      ? made.sort((one, other) => parseFloat(one.value) - parseFloat(other.value))
      : made;
  });
  const named = new Set(tokens.map(valueKey));
  const others = values.filter((each) => !named.has(valueKey(each)));
  if (tokens.length === 0) return { rules: merged, tokens, others, near };
  const referenceTo = referencesTo(tokens);
  const root: CssRule = {
    selector: ':root',
    declarations: tokens.map(({ kind, name, value }): Declaration => {
      const text = kind === 'shadow' ? replaceFound(value, coloursIn(value), referenceTo) : value;
      return [`--${name}`, text];
    }),
  };
  return { rules: withRoot(replaced(merged, referenceTo), root), tokens, others, near };
}

/** The rules with the values that a person merged. */
export function withMergedValues(rules: readonly CssRule[], { merged }: SaidValues): readonly CssRule[] {
  return merged.size === 0 ? rules : replaced(rules, (value) => merged.get(valueKey(value)) ?? null);
}

/** The declarations of other rules with the tokens of a sheet. */
export function inTokens(
  rules: readonly CssRule[],
  tokens: readonly Token[],
  said: SaidValues,
): readonly CssRule[] {
  return replaced(withMergedValues(rules, said), referencesTo(tokens));
}

/** The references that stand for the values of tokens (CSS Variables 1, §3). */
function referencesTo(tokens: readonly Token[]): TextFor {
  const references = new Map(tokens.map((token) => [valueKey(token), `var(--${token.name})`]));
  return (value) => references.get(valueKey(value)) ?? null;
}

function isToken(value: UsedValue, { names }: SaidValues): boolean {
  if (names.has(valueKey(value))) return true;
  // Measured lengths are no decisions of a designer.
  const isMeasured = isLengthKind(value.kind) && (parseFloat(value.value) * 2) % 1 !== 0;
  // What is wholly clear is the end of a gradient.
  const isClear = value.value.endsWith('/ 0%)');
  return value.uses >= FEWEST_USES[value.kind] && !isMeasured && !isClear;
}

function replaced(rules: readonly CssRule[], textFor: TextFor): readonly CssRule[] {
  return rules.map((rule) => {
    if (rule.selector === '@font-face') return rule;
    const declarations = rule.declarations.map((each) => withValues(each, textFor));
    return declarations.every(([, value], at) => value === rule.declarations[at]![1])
      ? rule
      : { ...rule, declarations };
  });
}

/** Values with the uses that others of them add. */
function withUses(values: readonly UsedValue[], more: readonly UsedValue[]): readonly UsedValue[] {
  const added = new Map(more.map((each) => [valueKey(each), each]));
  const known = values.map((each) => {
    const further = added.get(valueKey(each));
    added.delete(valueKey(each));
    return further ? { ...each, uses: each.uses + further.uses } : each;
  });
  return [...known, ...added.values()];
}

/** The name of a custom property without its hyphens; empty for any other property. */
function customName([property]: Declaration): readonly string[] {
  return property.startsWith('--') ? [property.slice(2)] : [];
}

/** The tokens stand before the first rule that is no font; the root's own rule has them first. */
function withRoot(rules: readonly CssRule[], root: CssRule): readonly CssRule[] {
  const at = rules.findIndex(({ selector }) => selector !== '@font-face');
  const first = rules[at];
  if (first?.selector !== ':root') return rules.toSpliced(Math.max(0, at), 0, root);
  return rules.toSpliced(at, 1, { ...first, declarations: [...root.declarations, ...first.declarations] });
}
