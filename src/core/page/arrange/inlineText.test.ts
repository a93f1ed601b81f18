import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';

function written(content: string, arrangement: 'flow' | 'nested' = 'flow') {
  const conversion = convertReading(readInside(content), arrangement);
  return { html: emitted(conversion, 'index.html'), css: emitted(conversion, 'styles.css') };
}

const words = (x: number, y: number, text: string, more = '') =>
  `<text x="${x}" y="${y}" font-size="12" font-family="Commissioner" ${more}>${text}</text>`;
const pill = (inside: string, more = '') =>
  `<g id="save" role="button" ${more}><rect x="20" y="20" width="90" height="30" rx="15" fill="#234"/>${inside}</g>`;

describe('a box that holds only words', () => {
  it('becomes one element with its padding', () => {
    const { html, css } = written(pill(words(35, 39, 'Save all', 'fill="#fff"')));
    expect(html).toMatch(/<button class="save" type="button"[^>]*>Save all<\/button>/);
    const rule = /\.save \{([^}]*)\}/.exec(css)![1]!;
    expect(rule).toMatch(/padding: \S+px/);
    expect(rule).toContain('background: #234');
    expect(rule).toContain('color: #fff');
    expect(rule).not.toContain('display');
  });

  it('centres its line where it is centred', () => {
    const { css } = written(
      `<g id="bar"><rect width="200" height="40" fill="#eee"/>${words(100, 24, 'Fair winds', 'text-anchor="middle"')}</g><rect y="50" width="200" height="9"/>`,
    );
    expect(/\.bar \{([^}]*)\}/.exec(css)![1]).toContain('text-align: center');
  });

  it('stays around words in several looks, which a flex container would lay out one by one', () => {
    const runs = '<tspan font-weight="600">Sail</tspan><tspan> by night</tspan>';
    const { html, css } = written(
      `<g id="bar"><rect width="200" height="40" fill="#eee"/>${words(190, 24, runs, 'text-anchor="end"')}</g><rect y="50" width="200" height="9"/>`,
    );
    expect(/\.bar \{([^}]*)\}/.exec(css)![1]).toContain('align-items: flex-end');
    expect(html).toMatch(/<main class="bar"[^>]*>\s*<span[^>]*>[^]*Sail[^]*by night[^]*<\/span>\s*<\/main>/);
  });

  it('stays around words that stick out of it, which no padding can express', () => {
    const { html, css } = written(
      `<g id="count"><rect x="20" y="20" width="90" height="30" fill="#234"/>${words(19.4, 39, '1')}</g><rect y="60" width="200" height="9"/>`,
    );
    expect(html).toMatch(/<div class="count"[^>]*>\s*<span/);
    expect(css).not.toMatch(/padding:[^;]* -\d/);
  });

  it('stays around words with semantics of their own', () => {
    expect(written(pill(words(35, 39, 'Save all', 'data-slot="label"'))).html).toMatch(
      /<button[^>]*>\s*<span[^>]*data-slot="label"/,
    );
    expect(written(`<g role="listitem">${words(20, 30, 'x')}</g>`).html).not.toContain('<li><li');
    const heading = `<g id="top" role="banner"><rect width="200" height="60" fill="#eee"/><g id="title [h2]">${words(20, 35, 'Sailings')}</g></g>`;
    expect(written(heading).html).toMatch(/<header[^>]*>\s*<h2/);
  });

  it('stays a box at fixed coordinates', () => {
    expect(written(pill(words(35, 39, 'Save all')), 'nested').html).toMatch(/<button[^>]*>\s*<span/);
  });
});
