import * as postcss from 'prettier/plugins/postcss';
import { format } from 'prettier/standalone';
import { printColour } from './colours';
import { element, inlineElement } from './element';
import { formatNumber } from './numbers';
import { printCss, printInlineCss } from './printCss';
import { printHtml } from './printHtml';
import { printXml } from './printXml';

describe('numbers', () => {
  it.each([
    [1.23456, '1.235'],
    [-0.00001, '0'],
    [12, '12'],
    [0.1 + 0.2, '0.3'],
    [Infinity, '0'],
    [1e-9, '0'],
  ])('%d is written %s', (value, text) => {
    expect(formatNumber(value)).toBe(text);
  });
});

describe('colours', () => {
  it('are written in their shortest form', () => {
    expect(printColour({ r: 255, g: 0, b: 170, alpha: 1 })).toBe('#f0a');
    expect(printColour({ r: 1, g: 2, b: 3, alpha: 1 })).toBe('#010203');
    expect(printColour({ r: 1, g: 2, b: 3, alpha: 0.125 })).toBe('rgb(1 2 3 / 12.5%)');
  });
});

describe('elements', () => {
  it('leave out attributes that are absent or false', () => {
    expect(
      element('a', { href: null, title: undefined, hidden: false, download: true, rel: 3 }).attributes,
    ).toEqual({ download: true, rel: '3' });
  });
});

describe('HTML', () => {
  const tree = [
    element('main', { class: 'page' }, [
      element('p', {}, ['one', element('br'), 'two & <three>']),
      inlineElement('span', {}, [element('b', {}, ['kept on one line'])]),
      element('img', { src: 'a.png', alt: 'a "quoted" name' }),
      element('div'),
      element('button', { hidden: true }, [element('i', {}, ['deep'])]),
    ]),
  ];

  it('prints one element a line, and inline content on one line', () => {
    expect(printHtml(tree)).toBe(
      [
        '<main class="page">',
        '  <p>one<br>two &amp; &lt;three&gt;</p>',
        '  <span><b>kept on one line</b></span>',
        '  <img src="a.png" alt="a &quot;quoted&quot; name">',
        '  <div></div>',
        '  <button hidden>',
        '    <i>deep</i>',
        '  </button>',
        '</main>',
        '',
      ].join('\n'),
    );
  });
});

describe('CSS', () => {
  const rules = [
    {
      selector: '.a,\n.b',
      declarations: [
        ['color', '#fff'],
        ['margin', '0'],
      ] as const,
    },
    {
      selector: '@font-face',
      declarations: [
        ['font-family', 'Aleo'],
        ['src', 'url("fonts/a.woff2")'],
      ] as const,
    },
  ];

  it('formats CSS as an outside formatter does', async () => {
    // Source: prettier's default formatting of CSS.
    const css = printCss(rules);
    expect(await format(css, { parser: 'css', plugins: [postcss] })).toBe(css);
  });

  it('fits into a style attribute', () => {
    expect(
      printInlineCss([
        ['left', '0'],
        ['top', '2px'],
      ]),
    ).toBe('left: 0; top: 2px');
  });
});

describe('XML', () => {
  it('escapes letters and attributes, and leaves out what XML does not allow', () => {
    expect(printXml(element('a', { b: '<"&\n' }, ['x\u0001<y>&']))).toBe(
      '<a b="&lt;&quot;&amp;&#10;">x&lt;y&gt;&amp;</a>',
    );
  });

  it('closes empty elements at once', () => {
    expect(printXml(element('g', {}, [element('path', { d: 'M0 0' })]))).toBe('<g><path d="M0 0"/></g>');
  });
});
