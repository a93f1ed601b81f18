import { emitted, convertReading, readInside } from '../../../../tests/support/mockups';

const text = (x: number, y: number, words: string, more = '') =>
  `<text x="${x}" y="${y}" font-family="Commissioner" font-size="12" ${more}>${words}</text>`;

/** The page and its rules, in the flow. */
function written(content: string) {
  const conversion = convertReading(readInside(content), 'flow');
  return { html: emitted(conversion, 'index.html'), css: emitted(conversion, 'styles.css') };
}

describe('classes that places imply', () => {
  it('are said for the elements that the page has: a text that labels a field is a label', () => {
    const { html, css } = written(
      `<rect width="200" height="100" fill="#eef"/>${text(20, 10, 'Book')}${text(20, 22, 'Sail')}
      <g id="mail">${text(20, 36, 'E-mail', 'fill="#a00" font-weight="600"')}<rect x="20" y="42" width="150" height="24" fill="#fff" stroke="#999"/>${text(26, 58, 'you@ferry.test', 'fill="#999"')}</g>`,
    );
    expect(html).toMatch(/<label(?: class="[^"]+")? for="[^"]+">E-mail<\/label>/);
    const [, name] = /<label class="([^"]+)"/.exec(html) ?? [];
    const selector = name === undefined ? '> label' : `.${name.split(' ').at(-1)}`;
    const rule = css.split('}').find((each) => each.includes(`${selector} {`));
    expect(rule).toContain('color: #a00');
  });

  it('are worn by pages with coordinates', () => {
    const content = `<g id="card"><rect width="90" height="60" fill="#fff"/>${text(10, 30, 'Auk')}</g>`;
    const nested = emitted(convertReading(readInside(content)), 'index.html');
    expect(nested).toMatch(/class="card(?:-[\w-]+)?"/);
    expect(written(content).css).toContain('.screen > main {');
  });
});
