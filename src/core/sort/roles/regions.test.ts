import { convertReading, emitted, readText } from '../../../../tests/support/mockups';

const word = (x: number, y: number, text: string) =>
  `<text x="${x}" y="${y}" font-size="14" font-family="Commissioner">${text}</text>`;
const words = (x: number, from: number, ...texts: readonly string[]) =>
  texts.map((text, at) => word(x, from + at * 40, text)).join('');

/** The elements of a page of 800 × 600 px with some layers. */
function elementsOf(content: string): readonly string[] {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600">${content}</svg>`;
  const html = emitted(convertReading(readText(svg), 'flow'), 'index.html');
  return [...html.matchAll(/<(aside|nav|main|header|footer|table|th|td)\b/g)].map(([, name]) => name!);
}

const side = `<g id="sidebar"><rect width="200" height="600" fill="#234"/>${words(20, 40, 'Quays', 'Lights', 'Tides')}</g>`;
const body = `<g id="log"><rect x="200" width="600" height="600" fill="#eee"/>${words(240, 40, 'Sund', 'Holm', 'Lunn', 'Ebb')}</g>`;

describe('regions by their names', () => {
  it('stand beside the main one', () => {
    expect(elementsOf(side + body)).toEqual(['aside', 'main']);
  });

  it('are not most of the page, whatever the class of the page says', () => {
    expect(elementsOf(`<g id="with-sidebar">${side}${body}</g>`)).toEqual(['aside', 'main']);
  });

  it('leave a main region where the only other one is a section', () => {
    const top = `<g id="header"><rect width="800" height="60" fill="#234"/>${word(20, 36, 'Ternholm')}</g>`;
    const section = `<g id="section"><rect y="60" width="800" height="400" fill="#eee"/>${words(40, 120, 'Sund', 'Holm')}</g>`;
    expect(elementsOf(top + section)).toEqual(['header', 'main']);
  });
});

describe('tables by the roles of the source', () => {
  const cell = (role: string, x: number, y: number, text: string) =>
    `<g role="${role}"><rect x="${x}" y="${y}" width="200" height="40" fill="#fff" stroke="#ccc"/>${word(x + 12, y + 26, text)}</g>`;
  const row = (role: string, y: number, ...texts: readonly string[]) =>
    `<g id="tr" role="row">${texts.map((text, at) => cell(role, 40 + at * 200, y, text)).join('')}</g>`;

  it('have headings and cells (ARIA, grid, rowgroup, columnheader and gridcell)', () => {
    const head = `<g role="rowgroup">${row('columnheader', 40, 'Quay', 'Boat')}</g>`;
    const rows = `<g role="rowgroup">${row('gridcell', 80, 'Sund', 'Auk')}${row('gridcell', 120, 'Holm', 'Fulmar')}</g>`;
    expect(elementsOf(`<g role="grid">${head}${rows}</g>`).filter((name) => name !== 'main')).toEqual([
      'table',
      'th',
      'th',
      ...Array.from({ length: 4 }, () => 'td'),
    ]);
  });

  it('give no role of a table to cells that stand in none', () => {
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600">${cell('columnheader', 40, 40, 'Quay')}${words(40, 200, 'Sund', 'Holm')}</svg>`;
    expect(emitted(convertReading(readText(svg), 'flow'), 'index.html')).not.toMatch(
      /role="(?:cell|columnheader|row)"/,
    );
  });
});
