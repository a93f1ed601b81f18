import * as cssTree from 'css-tree';
import fc from 'fast-check';
import { converted } from '../../../../tests/support/flowed';
import { quoteFamily } from '../../markup/families';

/** Names from a mockup that try to end a string or a rule of the style sheet. */
const HOSTILE = [
  'q\n} .screen * {background:url(http://attacker.invalid/live)} b{c:d',
  'a"; } * { color: red',
  "b'}",
  'c\\',
  'd\r\u0085\u2028*{}',
  '/* e',
  'f*/',
  '</style><script>x</script>',
  'inherit',
  'g;h{i:j}',
];

function rulesOf(css: string): number {
  let count = 0;
  cssTree.walk(cssTree.parse(css), { visit: 'Rule', enter: () => (count += 1) });
  return count;
}

const escaped = (text: string) => [...text].map((sign) => `&#${sign.codePointAt(0)};`).join('');

describe('the style sheet of a mockup with hostile names', () => {
  it('has the rules that one with plain names has', () => {
    const page = (family: string) =>
      converted(
        `<g id="card"><rect width="80" height="30" fill="#eee"/><text x="8" y="20" font-size="12" font-family="${escaped(family)}">Sund</text></g>`,
      ).css;
    const plain = rulesOf(page('Plain'));
    for (const name of HOSTILE) expect([name, rulesOf(page(name))]).toEqual([name, plain]);
  });

  it('has each family as one string or identifier, whatever its letters (CSS Syntax 3, §4.3.5)', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', minLength: 1 }), (family) => {
        const tree = cssTree.parse(quoteFamily(family), { context: 'value' });
        expect(tree.type === 'Value' && tree.children.toArray().map(({ type }) => type)).toEqual([
          expect.stringMatching(/^(?:String|Identifier)$/),
        ]);
      }),
    );
  });
});
