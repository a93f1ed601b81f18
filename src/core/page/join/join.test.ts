import { convertReading, emitted, readText } from '../../../../tests/support/mockups';
import type { Conversion } from '../../convert';
import type { Screen } from '../../mockup/mockup';
import { walkNodes } from '../walk';
import type { Arrangement } from '../frame';
import type { PageNode } from '../node';
import { pairsOf, widthBetween } from './pairs';

function screens(...named: readonly (readonly [string, number])[]): readonly Screen[] {
  return named.map(([name, width]) => ({ name, width }) as Screen);
}

describe('screens of one page', () => {
  it.each([
    [
      ['home', 1280],
      ['home', 390],
    ],
    [
      ['Home 1280', 1280],
      ['home-390', 390],
    ],
    [
      ['Home 1280x800', 1280],
      ['Home (390 × 844)', 390],
    ],
    [
      ['Home desktop', 1440],
      ['Home - Mobile', 375],
    ],
  ] as const)('are %j and %j', (wide, narrow) => {
    const [pair] = pairsOf(screens(narrow, wide));
    expect([pair?.wide.name, pair?.narrow.name]).toEqual([wide[0], narrow[0]]);
  });

  it.each([
    [
      ['home', 1280],
      ['about', 390],
    ],
    [
      ['step 1', 1280],
      ['step 2', 390],
    ],
    [
      ['home', 1280],
      ['home', 1200],
    ],
  ] as const)('are not %j and %j', (one, other) => {
    expect(pairsOf(screens(one, other))).toEqual([]);
  });

  it('switch at half of the distance between their widths', () => {
    expect(widthBetween(pairsOf(screens(['a', 1280], ['a', 390], ['b', 1000], ['b', 400])))).toBe(700);
  });
});

/** Two screens side by side, 800 and 320 px wide. */
function joined(
  wide: string,
  narrow: string,
  options = { join: true },
  arrangement: Arrangement = 'flow',
  [ground, other]: readonly [string, string] = ['#fff', '#fff'],
): Conversion {
  const screen = (name: string, x: number, width: number, fill: string, content: string) =>
    `<g id="${name}"><rect x="${x}" width="${width}" height="600" fill="${fill}"/><g transform="translate(${x} 0)">${content}</g></g>`;
  const reading = readText(
    `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="600" font-family="Commissioner" font-size="16">${screen('home 800', 0, 800, ground, wide)}${screen('home 320', 880, 320, other, narrow)}</svg>`,
  );
  return convertReading(reading, arrangement, new Map(), options);
}

const box = (name: string, x: number, y: number, width = 120) =>
  `<rect id="${name}" x="${x}" y="${y}" width="${width}" height="80" fill="#a33"/>`;

function sharing({ pages }: Conversion): Record<string, PageNode['shared']> {
  return Object.fromEntries(walkNodes(pages[0]!.children).map((node) => [node.name, node.shared] as const));
}

describe('a page for two widths', () => {
  it('is one file, with every element once and a rule for what differs', () => {
    const conversion = joined(
      box('one', 20, 20) + box('two', 160, 20) + box('three', 300, 20),
      box('one', 20, 20, 280) + box('two', 20, 120, 280) + box('three', 20, 220, 280),
    );
    expect(conversion.emission.screens.map(({ name, file }) => [name, file])).toEqual([
      ['home 800', 'index.html'],
      ['home 320', 'index.html'],
    ]);
    const html = emitted(conversion, 'index.html');
    expect(html).toContain('<title>home</title>');
    // All three look alike.
    expect(html.match(/class="[\w-]*fill(?: [\w-]+)?"/g)).toHaveLength(3);
    expect(html).not.toContain('-only');
    const css = emitted(conversion, 'styles.css');
    expect(css).toMatch(/@media \(max-width: 560px\) \{\n {2}\.page-home \{[^}]*\n {2}\}/);
    // Set once for all that is alike.
    expect(css.match(/background: #a33/g)).toHaveLength(1);
  });

  it('shows on one screen only what the other lacks', () => {
    const conversion = joined(
      box('one', 20, 20) + box('wide-one', 160, 20),
      box('one', 20, 20) + box('small-one', 20, 120),
    );
    expect(sharing(conversion)).toMatchObject({
      one: { kind: 'both' },
      'wide-one': { kind: 'only', on: 'wide' },
      'small-one': { kind: 'only', on: 'narrow' },
    });
    const css = emitted(conversion, 'styles.css');
    expect(css).toContain('  .wide-only {\n    display: none !important;\n  }');
    expect(css).toContain('@media not all and (max-width: 560px) {\n  .narrow-only {');
  });

  it('keeps rows of one screen where the other has none', () => {
    const conversion = joined(
      box('top', 20, 20, 760) + box('one', 20, 120) + box('two', 160, 120),
      box('top', 20, 20, 280) + box('one', 20, 120, 280) + box('two', 20, 220, 280),
    );
    expect(Object.values(sharing(conversion))).toContainEqual({ kind: 'box', on: 'wide' });
    expect(emitted(conversion, 'styles.css')).toContain(
      '  .wide-box {\n    display: contents !important;\n  }',
    );
  });

  it('writes words once when only their lines break differently, and twice when they differ', () => {
    const conversion = joined(
      '<text id="a" x="20" y="40">Six crossings before noon</text><text id="b" x="20" y="90">Book a crossing</text>',
      '<text id="a" x="20" y="40">Six crossings<tspan x="20" y="60">before noon</tspan></text><text id="b" x="20" y="110">Book</text>',
    );
    const html = emitted(conversion, 'index.html');
    expect(html.match(/Six crossings/g)).toHaveLength(1);
    expect(html).toMatch(/wide-only"[^>]*>Book a crossing</);
    expect(html).toMatch(/narrow-only"[^>]*>Book</);
  });

  it('writes everything twice where rows and columns cross each other', () => {
    const at = (name: string, column: number, row: number) => box(name, 20 + column * 140, 20 + row * 100);
    const conversion = joined(
      at('one', 0, 0) + at('two', 1, 0) + at('three', 0, 1.2) + at('four', 1, 1.2) + box('end', 20, 320, 700),
      at('one', 0, 0) + box('two', 20, 120, 60) + box('three', 120, 120, 60) + box('four', 20, 240, 200),
    );
    const html = emitted(conversion, 'index.html');
    for (const name of ['one', 'two', 'three', 'four'])
      expect(html.match(new RegExp(`class="${name}`, 'g'))?.length ?? 0).toBeLessThanOrEqual(2);
    expect(html.match(/<div/g)!.length).toBeLessThan(20);
  });

  it('has the background of each screen', () => {
    const both = [box('one', 20, 20), box('one', 20, 20)] as const;
    const grounds = ['#f6f1e7', '#122530'] as const;
    const css = emitted(joined(...both, { join: true }, 'flow', grounds), 'styles.css');
    expect(css).toContain('body {\n  margin: 0;\n  background: #f6f1e7;');
    expect(css).toMatch(/@media[^@]*\.page-home \{[^}]*background: #122530;/);
    const apart = joined(...both, { join: false }, 'flow', grounds);
    expect(emitted(apart, 'home-320.html')).toContain('class="screen page-home-320"');
    expect(emitted(apart, 'styles.css')).toMatch(/\.page-home-320 \{[^}]*background: #122530/);
  });

  it('stays two pages without the option, and outside the flow', () => {
    const both = [box('one', 20, 20), box('one', 20, 20)] as const;
    expect(joined(...both, { join: false }).pages).toHaveLength(2);
    expect(joined(...both, { join: true }, 'nested').pages).toHaveLength(2);
  });
});
