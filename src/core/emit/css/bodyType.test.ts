import { html } from '../html/html';
import { pageNodes } from '../../page/walk';
import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';

const line = (y: number, words: string, more = '') =>
  `<text x="10" y="${y}" font-size="10" font-family="Commissioner" ${more}>${words}</text>`;

function written(content: string, arrangement: 'flow' | 'nested' = 'flow') {
  const conversion = convertReading(readInside(content), arrangement, new Map(), {
    settings: { values: 'plain' },
  });
  return { css: emitted(conversion, 'styles.css'), html: emitted(conversion, 'index.html') };
}

const THREE = line(20, 'Sund') + line(60, 'Holm') + line(100, 'Lunn', 'fill="#c40"');

describe('the type of the body', () => {
  it('is that of most texts, which say nothing of it then', () => {
    const { css, html } = written(THREE);
    expect(css).toMatch(/body \{[^}]*font: 10px\/\S+ Commissioner;[^}]*color: #000;/);
    expect(html).toContain('<span>Sund</span>');
    expect(css).toMatch(/\.[\w-]+ \{\n {2}color: #c40;\n\}/);
  });

  it('is not that of headings unless they take it', () => {
    expect(written(THREE).css).toContain(':where(.screen :is(h1, h2, h3, h4, h5, h6)) {\n  font: inherit;');
  });

  it('is none where every class says all', () => {
    expect(written(THREE, 'nested').css).not.toMatch(/body \{[^}]*font/);
  });
});

it('the code of a text on its own has the type that it inherits', () => {
  const conversion = convertReading(readInside(THREE), 'flow');
  const [text] = pageNodes(conversion.pages[0]!).filter(({ kind }) => kind === 'text');
  const { parts } = html.fragment({ ...conversion, settings: {} }, text!.layer);
  expect(parts.map(({ code }) => code).join('\n')).toMatch(/<span[^>]*>Sund<\/span>[^]*body \{\n {2}font: /);
});
