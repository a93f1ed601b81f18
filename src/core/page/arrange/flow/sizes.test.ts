import { box, word, converted, convertedOf } from '../../../../../tests/support/flowed';
import { idAt } from '../../../../../tests/support/ids';
import { readText } from '../../../../../tests/support/mockups';
import { walkNodes } from '../../walk';

describe('sizes', () => {
  it('a centred page body with more space beside than above has its drawn width as maximum', () => {
    const body = box(
      'body',
      100,
      20,
      600,
      100,
      word(110, 50, 'The first ferry to Sund') + word(500, 50, 'Today'),
    );
    const { node } = convertedOf(
      readText(
        `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="200"><g id="ground"><rect width="800" height="200" fill="#eee"/>${body}</g></svg>`,
      ),
    );
    expect(node('ground').layout).toMatchObject({ align: 'middle', padding: { left: 16, right: 16 } });
    expect(node('body').place).toMatchObject({ widthMode: 'max', width: 600 });
  });

  it('a part that fills its container except for padding fills a wider one too', () => {
    const ticket = (x: number, width: number, words: string) => {
      const { node, page } = converted(
        `<g id="ticket"><rect x="20" y="10" width="160" height="80" fill="#eee"/><g id="inside">${words}${box('buy', x, 50, width, 20, word(x + width / 2 - 10, 64, 'Buy'))}</g><rect x="20" y="80" width="160" height="2"/></g>`,
      );
      const { padding, align } = node('inside').layout!;
      const { place } = walkNodes(page.children).find(({ path }) => path.endsWith('/buy'))!;
      return {
        padding,
        widthMode: 'widthMode' in place && place.widthMode,
        align: ('align' in place && place.align) || align,
      };
    };
    const even = { left: 16, right: 16 };
    const centred = word(80, 30, 'Sund');
    expect(ticket(36, 128, centred)).toMatchObject({ padding: even, widthMode: 'fit', align: 'stretch' });
    expect(ticket(104, 60, word(36, 30, 'Sund'))).toMatchObject({ padding: even, align: 'end' });
    // The space beside a part with content width follows from its words.
    expect(ticket(41.7, 116.6, centred)).toMatchObject({ padding: { left: 0, right: 0 } });
  });

  it('of several free gaps the last one takes the free space, and can shrink', () => {
    const { node } = converted(
      `<g id="bar"><rect width="200" height="40" fill="#eee"/>${box('sund', 8, 10, 26, 20, word(11, 24, 'Sund'))}${box('find', 94, 10, 20, 20)}${box('holm', 176, 10, 16, 20)}</g>`,
    );
    const { layout, children } = node('bar');
    expect(layout).toMatchObject({ direction: 'row', justify: 'start', gap: 16 });
    const lefts = children.map(({ place }) => place.kind === 'flow' && place.margin.left);
    expect(lefts).toEqual([0, 44, null]);
  });

  it('a row without free space keeps a px to spare, so that its words do not wrap', () => {
    const { node } = converted(
      `<g id="bar"><rect width="124" height="40" fill="#eee"/>${box('sund-button', 8, 10, 40, 20, word(12, 24, 'Sund'))}${box('holm-button', 58, 10, 58, 20, word(62, 24, 'Holm'))}</g>`,
    );
    expect(node('bar').layout).toMatchObject({ direction: 'row', padding: { left: 8, right: 7 } });
  });

  it('button words are centred as they are seen, whatever their measured width', () => {
    const buy = (name: string, off: number) => {
      const icon = '<g id="icon" data-tags="picture"><circle cx="70" cy="40" r="4" fill="#06c"/></g>';
      const bar = '<rect id="line" x="10" y="80" width="180" height="2"/>';
      const button = box(name, 10, 20, 180, 40, icon + box('words', 82, 34, 44 + off, 12));
      return converted(`<g id="card"><rect width="200" height="90" fill="#eee"/>${button}${bar}</g>`).node(
        name,
      ).layout;
    };
    // 56 px before, 64 and 61 after.
    expect(buy('buy-button', 0)).toMatchObject({ justify: 'start' });
    expect(buy('buy-button', 3)).toMatchObject({ justify: 'middle', padding: { left: 0, right: 5 } });
    expect(buy('ferry', 3)).toMatchObject({ justify: 'start' });
  });

  it('adjacent boxes of mostly equal width are cells, whatever their words', () => {
    const cell = (id: string, x: number, width: number, words: string, at: number) =>
      `<g id="${id}"><rect x="${x}" y="20" width="${width}" height="30" fill="none"/><rect x="${x}" y="49" width="${width}" height="1" fill="#999"/>${word(at, 38, words)}</g>`;
    const { node } = converted(
      `<g id="head"><rect width="200" height="60" fill="#eee"/><g id="cells">${cell('a', 0, 80, 'Pier', 10)}${cell('b', 80, 40, 'Sund', 88)}${cell('c', 120, 40, 'On', 134)}${cell('d', 160, 40, 'Holm', 168)}</g></g>`,
    );
    expect(node('cells').layout).toMatchObject({
      direction: 'grid',
      gap: 0,
      tracks: [{ kind: 'share' }, ...[1, 2, 3].map(() => ({ kind: 'px', width: 40 }))],
    });
  });

  it("cells that overlap their neighbours' borders keep their columns, without negative gaps", () => {
    const lined = (x: number, y: number) =>
      `<g id="cell${x}-${y}"><rect x="${x}" y="${y + 29}" width="41" height="1" fill="#999"/><rect x="${x + 40}" y="${y}" width="1" height="30" fill="#999"/>${word(x + 12, y + 18, 'Sund')}</g>`;
    const last = (x: number) =>
      `<g id="last${x}"><rect x="${x + 40}" y="68" width="1" height="30" fill="#999"/>${word(x + 12, 86, 'Sund')}</g>`;
    const rows = [10, 39].map((y) => [10, 50, 90].map((x) => lined(x, y)).join('')).join('');
    const { css, page } = converted(`<g id="deck">${rows}${[10, 50, 90].map(last).join('')}</g>`);
    expect(css).not.toMatch(/gap: -|gap: \S+ -/);
    const tops = walkNodes(page.children).flatMap(({ path, place }) =>
      path.endsWith('-39') && place.kind === 'flow' ? [place.margin.top] : [],
    );
    expect(tops).toEqual([0, 0, 0]);
  });

  it('buttons with coinciding borders are a row', () => {
    const spans = [
      [10.5, 51],
      [60.5, 44],
      [103.5, 58],
    ] as const;
    const kinds = (line: string) => {
      const buttons = spans.map(
        ([x, width]) =>
          `<g id="go${x}"><rect x="${x}" y="20.5" width="${width}" height="30" fill="#fff" ${line}/>${word(x + 12, 40, 'Sund')}</g>`,
      );
      const { page } = converted(`<g id="deck">${buttons.join('')}</g>`);
      const all = walkNodes(page.children).filter(({ path }) => /\/go[^/]*$/.test(path));
      return all.map(({ place }) => place.kind);
    };
    expect(kinds('stroke="#999"')).toEqual(['flow', 'flow', 'flow']);
  });

  it('a paragraph beside a part that takes the rest keeps its drawn width', () => {
    const broken = `<text font-size="10" font-family="Commissioner"><tspan x="10" y="24">Departing</tspan><tspan x="10" y="36">passengers</tspan></text>`;
    const { page } = converted(
      `<g id="form">${broken}${box('wish', 80, 10, 110, 30, word(90, 30, 'Your name, as in your passport'))}</g>`,
    );
    const label = walkNodes(page.children).find(({ kind }) => kind === 'text')!;
    expect(label).toMatchObject({ wraps: 'freely', place: { widthMode: 'drawn' } });
  });

  it('the last part at the far end is pushed there by free space', () => {
    const { css } = converted(
      `<g id="bar"><rect width="200" height="30" fill="#135"/>${word(10, 20, 'Sund')}${word(150, 20, 'Fares')}</g>`,
    );
    expect(css).toContain('justify-content: space-between');
  });
});

describe('right-to-left text', () => {
  // CSS Flexbox 1, §2: the start of an axis is that of the writing direction.
  it('stands where it was drawn in its own box', () => {
    const rule = (attributes: string) => {
      const words = `<text y="28" font-size="12" font-family="DejaVu Sans" direction="rtl" ${attributes}>الجدول</text>`;
      const cell = `<g id="cell"><rect x="10" y="10" width="120" height="30" fill="#eee"/>${words}</g>`;
      const { css } = converted(cell + box('quay', 10, 50, 180, 40, word(20, 70, 'Sund')));
      return /\.cell {[^}]*}/.exec(css)?.[0];
    };
    expect(rule('x="124"')).not.toMatch(/display|align-items|text-align/);
    expect(rule('text-anchor="end" x="16"')).toMatch(/flex-direction: column;\s*align-items: flex-end/);
  });
});

describe('layout overrides', () => {
  const pair = `<g id="pair"><rect width="200" height="60" fill="#eee"/>${box('one', 10, 10, 40, 20)}${box('two', 60, 34, 40, 20)}</g>`;

  it('direction and gap are kept', () => {
    const { layout } = converted(pair, { [idAt('/pair')]: { contents: 'row', gap: 24 } }).node('pair');
    expect(layout).toMatchObject({ direction: 'row', gap: 24 });
  });

  it('a nested container keeps coordinates inside a page that flows', () => {
    const { node, html } = converted(pair, { [idAt('/pair')]: { contents: 'nested' } });
    expect(node('pair').layout).toBeUndefined();
    expect(node('two/rect').place).toMatchObject({ kind: 'fixed', pins: { x: 'start' } });
    expect(html).toContain('class="pair"');
  });

  it('a row can stand inside a page with coordinates', () => {
    const { node, html, css } = converted(pair, { [idAt('/pair')]: { contents: 'row' } }, 'nested');
    expect(node('pair').place.kind).toBe('fixed');
    expect(node('one/rect').place.kind).toBe('flow');
    expect(html).toContain('pair flow');
    expect(css).toContain(':where(.flow > *)');
  });

  it('a part set to take the rest takes the free width', () => {
    const { css } = converted(pair, {
      [idAt('/pair')]: { contents: 'row' },
      [idAt('/pair/two')]: { width: 'rest' },
    });
    expect(css).toMatch(/flex: 1;\n {2}min-width: 0/);
  });

  it('overrides can come from brackets in names', () => {
    const { layout } = converted(
      pair.replace('id="pair"', 'data-name="pair [data-contents=column data-gap=7]"'),
    ).node('pair');
    expect(layout).toMatchObject({ direction: 'column', gap: 7 });
  });
});

it('a box that starts about where another ends shares no grid row with it', () => {
  const { node } = converted(
    `<g id="tide"><rect width="200" height="100" fill="#eee"/>${word(130, 20, 'ebb')}${box('height', 40, 20, 60, 30)}${box('harbour', 40, 60, 60, 20)}</g>`,
  );
  expect(node('tide').layout?.direction).not.toBe('grid');
});
