export type Declaration = readonly [property: string, value: string];

export interface CssRule {
  readonly selector: string;
  readonly declarations: readonly Declaration[];
  /** The media query around the rule. */
  readonly media?: string;
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

function printRule({ selector, declarations }: CssRule): string {
  const lines = declarations.map(([property, value]) => `  ${property}: ${value};\n`);
  return `${selector} {\n${lines.join('')}}\n`;
}

function indented(block: string): string {
  return block.replace(/^(?=.)/gm, '  ');
}

/** Declarations for a `style` attribute. */
export function printInlineCss(declarations: readonly Declaration[]): string {
  return declarations.map(([property, value]) => `${property}: ${value}`).join('; ');
}
