import * as cssTree from 'css-tree';
import { HtmlValidate } from 'html-validate';

/** What an outside validator says against a page (html-validate's rules for the HTML standard; none of taste or of a whole site). */
export async function htmlMistakes(html: string): Promise<readonly string[]> {
  const validator = new HtmlValidate({
    extends: ['html-validate:standard'],
    rules: {
      'no-inline-style': 'off',
      'no-trailing-whitespace': 'off',
      'long-title': 'off',
      'heading-level': 'off',
      'wcag/h37': 'off',
      'text-content': 'off',
      'no-implicit-button-type': 'off',
      'svg-focusable': 'off',
      'unique-landmark': 'off',
    },
  });
  const report = await validator.validateString(html);
  return report.results.flatMap((result) =>
    result.messages.map((message) => `${message.ruleId}: ${message.message} (${message.line})`),
  );
}

/** Declarations that an outside CSS grammar does not know (css-tree's lexer, from the syntaxes of the CSS specifications). */
export function cssMistakes(css: string): readonly string[] {
  const problems: string[] = [];
  // The grammar cannot look behind a custom property.
  const values = new Map(
    [...css.matchAll(/^\s+(--[\w-]+): ([^;]+);/gm)].map(([, name, value]) => [name, value]),
  );
  const inFull = (text: string): string =>
    text.replace(/var\((--[\w-]+)\)/g, (word, name: string) => inFull(values.get(name) ?? word));
  cssTree.walk(cssTree.parse(inFull(css), { onParseError: (error) => problems.push(error.message) }), {
    visit: 'Declaration',
    enter(node) {
      if (this.atrule?.name === 'font-face' || /^-(?:webkit)?-/.test(node.property)) return;
      const { error } = cssTree.lexer.matchDeclaration(node);
      if (error)
        problems.push(`${node.property}: ${cssTree.generate(node.value)}: ${error.message.split('\n')[0]}`);
    },
  });
  return problems;
}
