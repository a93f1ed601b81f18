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

describe('parts that are called after a region', () => {
  it('are lines between its parts, not regions', () => {
    const divider = `<g id="sidebar-divider"><rect x="20" y="80" width="160" height="1" fill="#fff"/></g>`;
    const open = side.replace('</g>', `${divider}</g>`);
    expect(elementsOf(open + body)).toEqual(['aside', 'main']);
  });

  it('are no lists to choose from where they only hold something to press', () => {
    const dots = [0, 1, 2].map((at) => `<circle cx="${300 + at * 8}" cy="40" r="2" fill="#666"/>`).join('');
    const held = `<g id="dropdown"><a href="#more"><g id="more">${dots}</g></a></g>`;
    const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="600">${body}${held}</svg>`;
    expect(emitted(convertReading(readText(svg), 'flow'), 'index.html')).not.toContain('<select');
  });
});

describe('a column of links at the side of the page', () => {
  const link = (text: string, at: number) =>
    `<g role="listitem"><a href="#${text}">${word(20, 40 + at * 40, text)}</a></g>`;
  const links = ['Quays', 'Lights', 'Tides', 'Fares', 'Jobs'].map(link).join('');
  const list = `<g id="ways" role="list"><rect width="170" height="600" fill="#234"/>${links}</g>`;
  const button = `<g id="up"><rect x="740" y="560" width="30" height="30" fill="#234"/></g>`;

  it('is navigation, whatever stands beside the group around all', () => {
    expect(elementsOf(`<g id="page">${list}${body}</g>${button}`)).toEqual(['nav', 'main']);
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
