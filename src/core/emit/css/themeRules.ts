import type { CssRule, Declaration } from '../../markup/printCss';
import { SCHEMES, type Scheme, type Schemes, type StyleClass } from '../../style/styleSheet';
import { declarationDiff } from './declarationDiff';
import { lookDeclarations } from './declarations';

/** What a style sheet needs for its themes. */
export interface ThemeRules {
  /** The values of all themes, as custom properties of the root. */
  readonly values: readonly CssRule[];
  /** The declarations of a class, with the values that differ as custom properties. */
  readonly withVariables: (style: StyleClass, declarations: readonly Declaration[]) => Declaration[];
  /** The rules of a class for what no custom property can say: what a theme adds or removes. */
  readonly rulesOf: (style: StyleClass) => readonly CssRule[];
}

/**
 * Themes as lists of values: what differs is a custom property (CSS Variables 1, §2), which the class of a theme on the
 * root sets anew. Values that are the same in all themes share a property. A theme of a scheme is also shown where the
 * reader's system has that scheme and the root has the class of no theme.
 */
export function themeRules(
  classes: readonly StyleClass[],
  themes: readonly string[],
  schemes: Schemes = {},
): ThemeRules {
  /** The name of a property by its values, first without a theme, then in each. */
  const names = new Map<string, string>();
  const rows: { readonly name: string; readonly values: readonly string[] }[] = [];
  const variables = new Map<StyleClass, Map<string, string>>();
  const rules = new Map<StyleClass, CssRule[]>();
  for (const style of classes) {
    if (style.themes.length === 0) continue;
    const plain = new Map(lookDeclarations(style.look));
    const diffs = themes.map((theme) => {
      const look = style.themes.find((each) => each.theme === theme)?.look;
      return look ? declarationDiff([...plain], lookDeclarations(look)) : [];
    });
    const own = new Map<string, string>();
    const extra: CssRule[] = [];
    diffs.forEach((diff, at) => {
      const alone = diff.filter(([property]) => !plain.has(property));
      if (alone.length > 0)
        for (const { selector, ...when } of rootsOf(themes[at]!, themes, schemes))
          extra.push({ selector: `${selector} .${style.name}`, declarations: alone, ...when });
    });
    for (const property of new Set(diffs.flatMap((diff) => diff.map(([each]) => each)))) {
      const value = plain.get(property);
      if (value === undefined) continue;
      const values = [value, ...diffs.map((diff) => diff.find(([each]) => each === property)?.[1] ?? value)];
      const mark = JSON.stringify(values);
      const name = names.get(mark) ?? `--${style.name}-${property}`;
      if (!names.has(mark)) rows.push({ name, values });
      names.set(mark, name);
      own.set(property, name);
    }
    variables.set(style, own);
    rules.set(style, extra);
  }
  const root = (at: number, { selector, ...when }: RootOf): CssRule[] => {
    const declarations = rows.flatMap(({ name, values }): Declaration[] =>
      at > 0 && values[at] === values[0] ? [] : [[name, values[at]!]],
    );
    return declarations.length > 0 ? [{ selector, declarations, ...when }] : [];
  };
  return {
    values: [
      ...root(0, { selector: ':root' }),
      ...themes.flatMap((theme, at) => rootsOf(theme, themes, schemes).flatMap((each) => root(at + 1, each))),
    ],
    withVariables: (style, declarations) =>
      declarations.map(([property, value]) => {
        const name = variables.get(style)?.get(property);
        return [property, name === undefined ? value : `var(${name})`];
      }),
    rulesOf: (style) => rules.get(style) ?? [],
  };
}

/** True for a rule that only one theme needs. */
export function isOfTheme({ selector, media }: CssRule, theme: string, schemes: Schemes = {}): boolean {
  const isByClass = new RegExp(`^:root\\.${theme}(?![\\w-])`).test(selector);
  return isByClass || SCHEMES.some((scheme) => schemes[scheme] === theme && media === mediaOf(scheme));
}

function mediaOf(scheme: Scheme): string {
  return `(prefers-color-scheme: ${scheme})`;
}

type RootOf = Pick<CssRule, 'selector' | 'media'>;

/** The roots that show a theme: with its class, and in the windows of its scheme. */
function rootsOf(theme: string, themes: readonly string[], schemes: Schemes): readonly RootOf[] {
  const unthemed = `:root:not(${themes.map((each) => `.${each}`).join(', ')})`;
  return [
    { selector: `:root.${theme}` },
    ...SCHEMES.filter((scheme) => schemes[scheme] === theme).map((scheme) => ({
      selector: unthemed,
      media: mediaOf(scheme),
    })),
  ];
}
