export type Declaration = readonly [property: string, value: string];

export interface CssRule {
  readonly selector: string;
  readonly declarations: readonly Declaration[];
}

/** Rules as CSS: a declaration a line, an empty line between rules. */
export function printCss(rules: readonly CssRule[]): string {
  return rules
    .map(({ selector, declarations }) => {
      const lines = declarations.map(([property, value]) => `  ${property}: ${value};\n`);
      return `${selector} {\n${lines.join('')}}\n`;
    })
    .join('\n');
}

/** Declarations for a `style` attribute. */
export function printInlineCss(declarations: readonly Declaration[]): string {
  return declarations.map(([property, value]) => `${property}: ${value}`).join('; ');
}
