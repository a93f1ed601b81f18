import { convertReading, emitted, readInside } from '../../../tests/support/mockups';

const word = (x: number, y: number, text: string, more = '') =>
  `<text x="${x}" y="${y}" font-size="14" font-family="Commissioner" ${more}>${text}</text>`;
const bars = '<rect x="10" y="10" width="16" height="3"/><rect x="10" y="17" width="16" height="3"/>';

const htmlOf = (content: string) => emitted(convertReading(readInside(content), 'flow'), 'index.html');

describe('what people press without words', () => {
  it('has the name of its layer', () => {
    const html = htmlOf(
      `<g id="open-menu" role="button"><rect width="36" height="36" fill="#eee"/>${bars}</g>`,
    );
    expect(html).toMatch(/<button[^>]* aria-label="open menu"/);
  });

  it('has the name of what it is, where no layer says more', () => {
    expect(htmlOf(`<g role="button"><rect width="36" height="36" fill="#eee"/>${bars}</g>`)).toMatch(
      /<button[^>]* aria-label="Button"/,
    );
  });

  it('is not named by the letters of an icon font', () => {
    const html = htmlOf(
      `<g id="close" role="button"><rect width="36" height="36" fill="#eee"/>${word(10, 22, '\u{F00D}')}</g>`,
    );
    expect(html).toMatch(/aria-label="close"/);
  });

  it('needs no name beside its words', () => {
    const html = htmlOf(
      `<g id="save" role="button"><rect width="90" height="36" fill="#eee"/>${word(20, 22, 'Save')}</g>`,
    );
    expect(html).not.toContain('aria-label');
  });
});
