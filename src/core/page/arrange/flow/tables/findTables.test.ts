import { box, INK, pageOf, solid, words } from '../../../../../../tests/support/pageTree';
import { convertReading, emitted, readText } from '../../../../../../tests/support/mockups';
import type { BoxNode, PageNode } from '../../../node';
import { walkNodes } from '../../../walk';
import { findTables } from './findTables';

const dark = { fills: [solid(INK)] };

const bold = (node: PageNode): PageNode => ({
  ...node,
  look: { ...node.look, type: { ...node.look.type!, weight: 700 } },
});

/** A row of words at these places. */
const line = (
  y: number,
  xs: readonly number[],
  make: (node: PageNode) => PageNode = (node) => node,
): BoxNode =>
  box('line', [0, y, 400, 20], {}, ...xs.map((x, at) => make(words(`w${at}`, [x, y, 40, 17], 'Holm'))));

/** The roles of a tree, a row of the table in brackets. */
const rolesOf = (node: PageNode): string =>
  node.kind === 'box' && node.role !== 'cell'
    ? `${node.role}(${node.children.map(rolesOf).join(' ')})`
    : node.role;

const found = (...nodes: readonly PageNode[]) => findTables(pageOf(...nodes)).children.map(rolesOf);
const holding = (...rows: readonly PageNode[]) => box('times', [0, 0, 400, 120], {}, ...rows);

describe('rows whose parts stand in columns', () => {
  const xs = [0, 100, 200, 300];

  it('are a table where there are many columns', () => {
    const row = 'row(cell cell cell cell)';
    expect(found(holding(line(0, xs), line(30, xs), line(60, xs)))).toEqual([`table(${row} ${row} ${row})`]);
  });

  it('have a row of headings where the first one looks otherwise', () => {
    const [head, row] = ['row(header-cell header-cell header-cell)', 'row(cell cell cell)'];
    const three = xs.slice(0, 3);
    expect(found(holding(line(0, three, bold), line(30, three), line(60, three)))).toEqual([
      `table(${head} ${row} ${row})`,
    ]);
  });

  it('have headings that are none of the page (HTML, §4.9.10, content model of th)', () => {
    const titled = (node: PageNode): PageNode => ({ ...bold(node), role: 'heading-3' });
    const three = xs.slice(0, 3);
    const [table] = findTables(
      pageOf(holding(line(0, three, titled), line(30, three), line(60, three))),
    ).children;
    expect(walkNodes([table!]).map(({ role }) => role)).not.toContain('heading-3');
  });

  it('have cells as wide as those that show their edges, headings without a look too', () => {
    const edged = (node: PageNode): PageNode => {
      const { x, y } = node.place;
      return box('td', [x - 10, y, 100, 20], dark, node);
    };
    const bare = (node: PageNode): PageNode =>
      box('th', [node.place.x, node.place.y, 40, 17], {}, bold(node));
    const at = [10, 110, 210];
    const [table] = findTables(pageOf(holding(line(0, at, bare), line(30, at, edged), line(60, at, edged))))
      .children as readonly BoxNode[];
    const [head, first] = table!.children as readonly BoxNode[];
    const edgesOf = (row: BoxNode) => row.children.map(({ place }) => [place.x, place.width]);
    expect(edgesOf(head!)).toEqual(edgesOf(first!));
  });

  it('take the headings right above along', () => {
    const [head, row] = ['row(header-cell header-cell header-cell header-cell)', 'row(cell cell cell cell)'];
    const body = box('times', [0, 30, 400, 90], {}, line(30, xs), line(60, xs), line(90, xs));
    expect(found(line(0, xs, bold), body)).toEqual([`table(${head} ${row} ${row} ${row})`]);
  });

  it('are one table where the mockup has its head and its body in groups', () => {
    const three = xs.slice(0, 3);
    const [head, row] = ['row(header-cell header-cell header-cell)', 'row(cell cell cell)'];
    const tides = box(
      'table',
      [0, 0, 400, 90],
      {},
      box('thead', [0, 0, 400, 20], {}, line(0, three, bold)),
      box('tbody', [0, 30, 400, 60], {}, line(30, three), line(60, three)),
    );
    expect(found(tides)).toEqual([`table(${head} ${row} ${row})`]);
  });

  it('are one where rows overlap by the borders that they share', () => {
    const row = (y: number) => ({ ...line(y, xs), place: { ...line(y, xs).place, height: 22 } });
    expect(found(holding(row(0), row(20), row(40)))[0]).toMatch(/^table/);
  });

  it('are none without headings and with few columns, as lists of things', () => {
    const three = xs.slice(0, 3);
    expect(found(holding(line(0, three), line(30, three), line(60, three)))[0]).not.toMatch(/table/);
  });

  it('are none where a column is out of line, or a row has fewer parts', () => {
    const moved = [0, 120, 200, 300];
    expect(found(holding(line(0, xs), line(30, moved), line(60, xs)))[0]).not.toMatch(/table/);
    expect(found(holding(line(0, xs), line(30, xs.slice(1)), line(60, xs)))[0]).not.toMatch(/table/);
  });

  it('are what a person said they are', () => {
    const said = {
      ...holding(line(0, xs), line(30, xs), line(60, xs)),
      role: 'list',
      roleSaid: true,
    } as const;
    expect(found(said)[0]).toMatch(/^list\(box/);
    const two = xs.slice(0, 2);
    const table = { ...holding(line(0, two), line(30, two)), role: 'table', roleSaid: true } as const;
    expect(found(table)).toEqual(['table(row(cell cell) row(cell cell))']);
  });

  it('are named by whole words: a wrapper of a table is none', () => {
    const two = xs.slice(0, 2);
    const named = (name: string) => ({ ...holding(line(0, two), line(30, two)), name });
    expect(found(named('tbody-7'))[0]).toMatch(/^table/);
    expect(found(named('table-responsive'))[0]).not.toMatch(/table/);
  });

  it('are aligned at the right edge or in the middle as well', () => {
    const figures = (y: number, wide: number) =>
      box(
        'line',
        [0, y, 400, 20],
        {},
        words('name', [0, y, 40, 17], 'Holm'),
        words('mid', [150 - wide / 2, y, wide, 17], '7'),
        words('sum', [300 - wide, y, wide, 17], '12'),
        words('end', [400 - wide, y, wide, 17], '12'),
      );
    expect(found(holding(figures(0, 20), figures(30, 40), figures(60, 10)))[0]).toMatch(/^table/);
  });

  it('have what is something of its own in a cell', () => {
    const row = (y: number) =>
      box('line', [0, y, 400, 20], {}, ...line(y, xs.slice(0, 3)).children, {
        ...box('buy', [300, y, 60, 20], dark, words('go', [310, y, 30, 17], 'Buy')),
        role: 'button',
      });
    expect(found(holding(row(0), row(30), row(60)))[0]).toMatch(/row\(cell cell cell cell\)/);
    const [table] = findTables(pageOf(holding(row(0), row(30), row(60)))).children as readonly BoxNode[];
    const last = (table!.children[0] as BoxNode).children.at(-1) as BoxNode;
    expect([last.role, last.children.map(({ role }) => role)]).toEqual(['cell', ['button']]);
  });
});

describe('the code of a table', () => {
  const text = (x: number, y: number, said: string, more = '') =>
    `<text x="${x}" y="${y}" font-size="14" font-family="Commissioner" ${more}>${said}</text>`;
  const row = (at: number, more = '') =>
    `<g data-name="sailing">${['Sund', 'Holm', '7:30'].map((said, column) => text(20 + column * 120, 30 + at * 40, said, more)).join('')}</g>`;
  const html = emitted(
    convertReading(
      readText(
        `<svg xmlns="http://www.w3.org/2000/svg" width="400" height="200"><g data-name="sailings">${row(0, 'font-weight="700"')}${row(1)}${row(2)}${row(3)}</g></svg>`,
      ),
      'flow',
    ),
    'index.html',
  );

  it('has rows of cells, and headings of columns (HTML, §4.9)', () => {
    expect(html.match(/<table\b/g)).toHaveLength(1);
    expect(html.match(/<tr\b/g)).toHaveLength(4);
    expect(html).toMatch(/<thead>\s*<tr[^]*<\/thead>\s*<tbody>\s*<tr/);
    expect(html.match(/<th\b[^>]*scope="col"/g)).toHaveLength(3);
    expect(html.match(/<td\b/g)).toHaveLength(9);
    expect(html).not.toMatch(/role="(?:row|cell|table)"/);
  });
});
