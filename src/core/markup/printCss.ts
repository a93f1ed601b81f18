export type Declaration = readonly [property: string, value: string];

export interface CssRule {
  readonly selector: string;
  readonly declarations: readonly Declaration[];
  /** The media query around the rule. */
  readonly media?: string;
  /** What a reader of the sheet should know of it and the rules after it. */
  readonly comment?: string;
  /** True for a rule whose values are those of others: they count as no further uses. */
  readonly isEcho?: true;
}

/**
 * Rules as CSS: one declaration a line, an empty line between rules. Neighbours under one media query share a
 * block.
 */
export function printCss(rules: readonly CssRule[]): string {
  const printed: string[] = [];
  for (let at = 0; at < rules.length;) {
    const { media } = rules[at]!;
    let end = at + 1;
    while (media !== undefined && rules[end]?.media === media) end += 1;
    const block = rules.slice(at, end).map(printRule).join('\n');
    printed.push(media === undefined ? block : `@media ${media} {\n${indented(block)}}\n`);
    at = end;
  }
  return printed.join('\n');
}

function printRule({ selector, declarations, comment }: CssRule): string {
  const lines = declarations.map(([property, value]) => `  ${property}: ${value};\n`);
  const before = comment === undefined ? '' : `/* ${comment} */\n`;
  return `${before}${selector} {\n${lines.join('')}}\n`;
}

function indented(block: string): string {
  return block.replace(/^(?=.)/gm, '  ');
}

/** Declarations for a `style` attribute. */
export function printInlineCss(declarations: readonly Declaration[]): string {
  return declarations.map(([property, value]) => `${property}: ${value}`).join('; ');
}
