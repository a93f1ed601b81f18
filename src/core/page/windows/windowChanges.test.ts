import { convertReading, emitted, readDemo, readText } from '../../../../tests/support/mockups';

const text = (x: number, y: number, words: string) =>
  `<text x="${x}" y="${y}" font-size="14" font-family="Commissioner">${words}</text>`;

function cssOf(content: string, width = 1200): string {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="600">${content}</svg>`;
  return emitted(convertReading(readText(svg), 'flow'), 'styles.css');
}

/** The rules of windows narrower than a width. */
function below(css: string, width: number): string {
  return new RegExp(`@media \\(width < ${width}px\\) \\{\\n([^]*?)\\n\\}`).exec(css)?.[1] ?? '';
}

const card = (at: number) =>
  `<g id="card-${at}"><rect x="${40 + at * 380}" y="100" width="360" height="200" fill="#fff"/>${text(60 + at * 380, 140, 'Sailings from Ternholm')}${text(60 + at * 380, 180, 'Every day at noon and at dusk')}</g>`;

describe('a page in narrower windows', () => {
  it('stands in cells where like parts do not fit beside each other', () => {
    const css = cssOf(
      `<rect width="1200" height="600" fill="#f4f0e6"/><g id="cards">${[0, 1, 2].map(card).join('')}</g>`,
    );
    expect(css).not.toMatch(/@media \(width < 1\d{3}px\)/);
    expect(below(css, 768)).toMatch(/repeat\(auto-fit, minmax\(min\(100%, \d+px\), 1fr\)\)/);
  });

  it('has short parts in several lines', () => {
    const links = ['Sailings', 'Tickets', 'Harbours', 'Weather', 'Contact', 'Jobs', 'Lights', 'Tides'].map(
      (word, at) => text(40 + at * 120, 40, word),
    );
    const css = cssOf(`<rect width="1200" height="80" fill="#eee"/><g id="ways">${links.join('')}</g>`);
    expect(below(css, 768)).toMatch(/flex-wrap: wrap;\s+gap: /);
  });

  it('has regions under each other, each as wide as the window', () => {
    const bar = `<g id="bar"><rect width="300" height="600" fill="#123"/>${text(20, 40, 'Harbours of the sound')}${text(20, 80, 'Lights and buoys')}</g>`;
    const quay = `<g id="quay"><rect x="300" width="900" height="600" fill="#fff"/>${text(340, 60, 'Departures')}${text(340, 100, 'A long line of words that says when which ferry leaves from which of the quays')}</g>`;
    const css = cssOf(bar + quay);
    expect(css).toMatch(/@media[^{]*\{[^@]*flex-direction: column;\s+align-items: stretch;/);
    expect(css).toMatch(/@media[^{]*\{[^@]*\.bar[^{]*\{\s+width: auto;/);
  });

  it('keeps regions beside each other as long as they fit, and frees their heights where they do not', () => {
    const links = ['Quays', 'Lights', 'Tides'].map((word, at) => text(20, 40 + at * 40, word)).join('');
    const bar = `<g id="bar"><rect width="240" height="600" fill="#123"/>${links}</g>`;
    const fares = [0, 1, 2, 3]
      .map(
        (at) =>
          `<g id="fare-${at}"><rect x="${260 + at * 230}" y="40" width="210" height="120" fill="#fff"/>${text(280 + at * 230, 80, 'Skerrivane-Ternholm')}</g>`,
      )
      .join('');
    const css = cssOf(`${bar}<g id="quay"><rect x="240" width="960" height="600" fill="#eee"/>${fares}</g>`);
    const windows = [...css.matchAll(/@media \(width < (\d+)px\) \{\n([^]*?)\n\}/g)];
    const stacked = windows.find(([, , rules]) => /\.bar[^{]*\{[^}]*width: auto/.test(rules!));
    expect(Number(stacked?.[1])).toBeLessThan(1100);
    expect(css).toMatch(/@media[^]*\.bar[^{]*\{[^}]*min-height: 0;/);
  });

  it('changes nothing where all fits, and nothing of a page for two screens', () => {
    expect(cssOf(text(16, 40, 'Orden'))).not.toContain('@media');
  });
});

describe('words that are wider than a narrow window', () => {
  const heading = (words: string) =>
    `<text x="40" y="120" font-size="96" font-weight="700" font-family="Commissioner">${words}</text>`;

  it('get smaller with the window where they are display type, and their lines with them', () => {
    const css = cssOf(`${heading('Skerrivane')}${text(40, 200, 'Every day at noon')}`);
    const [, least, share] = /font-size: clamp\((\d+)px, ([\d.]+)vw, 96px\);\s+line-height: [\d.]+;/.exec(
      below(css, 768),
    )!;
    expect(Number(least)).toBeLessThan(70);
    // What fits a window of 320 px is as large a share of every window up to the drawn size.
    expect(Number(share)).toBeCloseTo((100 * Number(least)) / 320, 0);
    expect(cssOf(heading('Noon'))).not.toContain('clamp');
  });

  it('break inside where that is not enough', () => {
    const css = cssOf(text(40, 60, 'the-harbour-office-of-ternholm-and-skerrivane@orden.example'));
    expect(below(css, 768)).toContain('overflow-wrap: anywhere');
  });
});

describe('words in several lines', () => {
  it('say how wide they are at most, and leave room for what stands beside them', () => {
    const lines = ['Ferries leave from Ternholm every', 'morning, whatever the weather is', 'on the sound'];
    const spans = lines.map((line, at) => `<tspan x="60" y="${120 + at * 20}">${line}</tspan>`).join('');
    const css = cssOf(
      `<rect id="card" x="40" y="40" width="800" height="200" fill="#fff"/><text font-size="14" font-family="Commissioner">${spans}</text>`,
    );
    expect(css).toMatch(/max-width: 2\d\dpx;/);
    expect(css).not.toMatch(/width: 100%;\s+max-width: 2/);
  });
});

describe('a table in narrow windows', () => {
  const line = (at: number) =>
    `<g data-name="tr">${['Skerrivane at noon', 'Motor vessel Auk', 'Boarding now', 'Ticket office', '12.40 kr'].map((word, column) => text(40 + column * 220, 60 + at * 40, `${word}${'.'.repeat(at)}`)).join('')}</g>`;
  const css = cssOf(`<g data-name="tbody">${[0, 1, 2, 3].map(line).join('')}</g>`);

  it('scrolls in itself, and its rows keep one width, so that columns stay in line', () => {
    const narrow = css.slice(css.indexOf('@media'));
    expect(narrow).toMatch(/overflow-x: auto/);
    const widths = [...narrow.matchAll(/min-width: (\d+)px/g)].map(([, width]) => width);
    expect(new Set(widths).size).toBe(1);
    expect(Number(widths[0])).toBeGreaterThan(300);
    const columns = [...narrow.matchAll(/grid-template-columns: (.*);/g)].map(([, tracks]) => tracks);
    expect(new Set(columns).size).toBe(1);
    expect(columns[0]).toMatch(/^(?:minmax\(\d+px, \d+fr\) ?){5}$/);
    expect(narrow).not.toMatch(/flex-wrap/);
  });
});

describe('the rules of windows', () => {
  /** The declarations of each class in a block of rules. */
  const saidIn = (block: string) =>
    new Set(
      [...block.matchAll(/^ *([^{}@]+) \{\n([^}]*)\}/gm)].flatMap(([, selectors = '', declarations = '']) =>
        selectors.split(/,\s*/).flatMap((selector) =>
          declarations
            .trim()
            .split('\n')
            .map((declaration) => `${selector.trim()} { ${declaration.trim()} }`),
        ),
      ),
    );

  it('say nothing that holds there anyway', () => {
    const css = emitted(convertReading(readDemo(), 'flow'), 'styles.css');
    const [wide = '', ...windows] = css.split(/^@media/m);
    expect(windows.length).toBeGreaterThan(0);
    let before = saidIn(wide);
    for (const window of windows) {
      const own = saidIn(window.slice(window.indexOf('{') + 1));
      expect([...own].filter((each) => before.has(each))).toEqual([]);
      before = own;
    }
  });
});

it('what lies over others at a distance from the start begins at the edge of a narrow window', () => {
  const menu = ['Sailings', 'Tickets', 'Harbours']
    .map((words, at) => text(160 + at * 340, 406, words))
    .join('');
  const css = cssOf(
    `<g id="hero"><rect width="1200" height="400" fill="#345"/>${text(500, 220, 'Ternholm Ferries')}</g><g id="menu"><rect x="120" y="376" width="900" height="48" fill="#fff"/>${menu}</g>${text(40, 480, 'Every day at noon')}`,
  );
  expect(css).toMatch(/\.menu[^{]*\{[^}]*left: 120px/);
  expect(below(css, 1200) + below(css, 1024) + below(css, 768)).toMatch(
    /\.menu[^{]*\{[^}]*left: 0;[^}]*max-width: 100%;/,
  );
});
