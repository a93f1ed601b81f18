import { box, word, converted, convertedOf } from '../../../../../tests/support/flowed';
import { readText } from '../../../../../tests/support/mockups';
import { idAt } from '../../../../../tests/support/ids';
import { walkNodes } from '../../walk';

describe('columns', () => {
  it('a part that nearly fills its column stands where it was drawn', () => {
    const { node } = converted(
      `<g id="quay">${box('short', 4, 4, 60, 20, word(8, 18, 'Sund') + word(44, 18, 'Ebb'))}${box('long', 6, 30, 110, 20, word(10, 44, 'Sund to Holm') + word(84, 44, 'Lunn'))}<rect x="130" y="4" width="60" height="46" fill="#eee"/></g>`,
    );
    expect(node('long').place).toMatchObject({ kind: 'flow', align: 'end' });
  });

  it('separate lines of a headline are a column with a tight line height', () => {
    const line = (y: number, text: string) =>
      `<text x="10" y="${y}" font-size="30" font-family="Commissioner">${text}</text>`;
    const { page, css } = converted(line(40, 'Ternholm') + line(69, 'Ferries') + word(10, 90, 'since 1921'));
    const texts = walkNodes(page.children).filter(({ kind }) => kind === 'text');
    expect(texts.map(({ place }) => place.kind)).toEqual(['flow', 'flow', 'flow']);
    expect(texts.map(({ place }) => place.height)).toEqual([29, 29, 12]);
    expect(css).toMatch(/30px\/29px /);
  });

  it('a hyphenated word that continues in the next line stays one word', () => {
    const lines = ['The ferry-', 'boats of Sund leave', 'at noon today'];
    const text = lines.map((line, at) => `<tspan x="10" y="${20 + at * 14}">${line}</tspan>`).join('');
    const { html } = converted(`<text font-size="10" font-family="Commissioner">${text}</text>`);
    expect(html).toMatch(/The ferry-(?:boats|<br>boats)/);
  });

  it('a part on the border of its container is inside it', () => {
    const tab = (id: string, x: number, height: number) =>
      box(id, x, 12, 50, height, `${word(x + 4, 26, 'Sund')}${word(x + 34, 26, '3')}`);
    const { node } = converted(
      `<g id="tabs"><rect x="1" y="1" width="178" height="38" fill="#eee" stroke="#ccc" stroke-width="2"/>${tab('open', 12, 28)}${tab('other', 80, 20)}</g>`,
    );
    expect(node('tabs').layout?.direction).toBe('row');
    expect(node('open').place).toMatchObject({ kind: 'flow', margin: { bottom: -2 } });
    expect(node('other').place).toMatchObject({ kind: 'flow', margin: { bottom: 0 } });
  });

  it('a list that is clipped at the bottom keeps its drawn height', () => {
    const rows = [0, 1, 2, 3, 4].map((at) =>
      box(`sailing${at}x`, 10, 10 + at * 20, 80, 16, word(14, 22 + at * 20, 'Sund')),
    );
    const { node } = converted(
      `<clipPath id="c"><rect x="10" y="10" width="80" height="45"/></clipPath><g id="times" clip-path="url(#c)">${rows.join('')}</g>`,
    );
    expect(node('times').place).toMatchObject({ kind: 'flow', heightMode: 'drawn', height: 45 });
    expect(node('times').children.every(({ place }) => place.kind === 'flow')).toBe(true);
  });

  it('words grow into the free space of their row', () => {
    const { node } = converted(
      `${box('head', 0, 0, 200, 20, word(4, 14, 'Sailings'))}<g id="line">${word(10, 40, 'Sund')}${word(120, 40, '07.40')}</g>`,
    );
    expect(node('line').place).toMatchObject({ widthMode: 'drawn' });
    expect(node('line').layout).toMatchObject({ justify: 'between' });
  });

  it('absolute words that overflow their field start where they were drawn', () => {
    const { css } = converted(
      `<clipPath id="c"><rect x="10" y="10" width="90" height="20"/></clipPath><g id="search" data-tags="field" clip-path="url(#c)"><rect x="10" y="10" width="90" height="20" fill="#eee"/>${word(40, 24, 'A harbour or an island')}</g>`,
    );
    expect(css).toMatch(/left: 30px/);
  });

  it('nothing moves into a box over which something else was drawn earlier', () => {
    const shade = '<g id="shade"><rect width="200" height="100" opacity="0.5"/></g>';
    const { html } = converted(
      `<g id="sea"><rect width="200" height="99.8" fill="#246"/></g>${shade}<g id="words">${word(20, 50, 'Sund')}</g>`,
    );
    expect(html.indexOf('Sund')).toBeGreaterThan(html.indexOf('class="shade"'));
  });

  it('a part drawn after a group into a gap of it flows in that gap', () => {
    const search = box('search', 20, 60, 100, 20, word(26, 74, 'Holm'));
    const card = box('card', 10, 10, 180, 80, word(20, 30, 'Sailings') + search);
    const { node } = converted(`<g id="all">${card}</g>${box('go', 130, 60, 50, 20, word(140, 74, 'Find'))}`);
    const inCard = walkNodes(node('card').children).find(({ path }) => path.endsWith('/go'));
    expect(inCard?.place.kind).toBe('flow');
  });

  it('a part drawn after a list onto an item moves into the item', () => {
    const item = (at: number) =>
      `<g id="item${at}"><circle id="disc${at}" cx="30" cy="${30 + at * 40}" r="10" fill="#ccc"/>${word(50, 34 + at * 40, ['Holm', 'Sund'][at]!)}</g>`;
    const photo = '<g id="photo" data-tags="picture"><circle cx="30" cy="70" r="9" fill="#06c"/></g>';
    const list = `<g id="all">${box('card', 10, 10, 180, 80, `<g id="ferries-list">${item(0)}${item(1)}</g>`)}</g>`;
    const { node } = converted(`${list}${photo}`);
    expect(node('ferries-list').role).toBe('list');
    expect(walkNodes(node('item1').children).map(({ layer }) => layer)).toContain(idAt('/photo'));
  });

  it('a part drawn after a group over its content stays outside', () => {
    const card = box('card', 10, 10, 180, 70, word(20, 30, 'Sailings') + word(20, 60, 'from Holm to Sund'));
    const foot = box('foot', 10, 85, 180, 10);
    const { node } = converted(
      `<g id="all">${card}${foot}</g>${box('menu', 30, 40, 80, 40, word(40, 64, 'Find'))}`,
    );
    expect(walkNodes(node('card').children).filter(({ path }) => path.includes('/menu'))).toEqual([]);
  });

  it('words wrap at the visible width of a box that continues past the screen', () => {
    const aside = (x: number) =>
      box(`aside${x}`, x, 10, 120, 60, word(x + 6, 30, 'Sailings') + word(x + 6, 50, 'to'));
    const room = (content: string) =>
      walkNodes(converted(content).page.children).flatMap(({ kind, place }) =>
        kind === 'text' && place.kind === 'flow' && place.widthMode === 'max' ? [place.width] : [],
      );
    expect(room(`<g id="all">${box('quay', 0, 10, 90, 60, word(6, 30, 'Sund'))}${aside(100)}</g>`)).toEqual([
      94, 94,
    ]);
    // One of several boxes of equal size keeps the common width.
    expect(room(`<g id="all">${aside(-40)}${aside(100)}</g>`)).toEqual([]);
  });

  it('a part that sticks out of the screen does not shift its neighbours', () => {
    const { node } = converted(
      `<g id="head"><rect x="-3" y="45" width="206" height="1" fill="#ccc"/>${word(20, 40, 'Sund')}${word(20, 60, 'Holm')}</g>`,
    );
    expect(node('head').place).toMatchObject({ x: 0, width: 200 });
  });

  it('the content of even columns stands where it was drawn, whatever px the columns start at', () => {
    const cards = [15, 65, 115].map((x, at) => box(`deck${at}x`, x, 10, 40.3, 60, word(x + 5.4, 40, 'Sund')));
    const { node, page } = converted(`<g id="decks">${cards.join('')}</g>`);
    expect(node('decks').layout).toMatchObject({ direction: 'grid' });
    const words = walkNodes(page.children).filter(({ kind }) => kind === 'text');
    expect(words).toHaveLength(3);
    const pads = words.map((each) => (each.kind === 'text' ? (each.layout?.padding.left ?? 0) : 0));
    // On whole px.
    for (const pad of pads) expect(pad).toBe(5);
  });

  it('the overhang of half a line widens nothing', () => {
    const cell = (at: number) =>
      `<g id="cell${at}x"><rect x="${10 + at * 60}" y="10" width="60" height="30" fill="#${at}f9"/><path d="M${9.5 + at * 60} 39.5H${70.5 + at * 60}" stroke="#999"/>${word(14 + at * 60, 28, 'Sund')}</g>`;
    const { node } = converted(`<g id="line">${[0, 1, 2].map(cell).join('')}</g>`);
    expect([0, 1, 2].map((at) => node(`cell${at}x`).place.x)).toEqual([10, 70, 130]);
    expect([0, 1, 2].map((at) => node(`cell${at}x`).place.width)).toEqual([60, 60, 60]);
  });
});

describe('words and boxes where they were drawn', () => {
  it('words flow in the box that contains their start, also when their line box reaches past its edge', () => {
    const { node } = converted(
      `<g id="quay"><rect id="ground" x="10" y="10" width="150" height="80" fill="#eee"/>
        ${box('berth', 20, 50, 100, 20, word(24, 64, 'Sund'))}<g id="head">${word(20, 18, 'Departures')}</g></g>`,
    );
    const flowing = node('ground').children.map(({ path, place }) => [path.split('/').at(-1), place.kind]);
    expect(flowing).toEqual([
      ['text', 'flow'],
      ['berth', 'flow'],
    ]);
  });

  it('a plain box behind everything becomes the page background', () => {
    const { page, html } = converted(
      `<rect width="200" height="100" fill="#f6f1e7"/>${word(10, 20, 'Sund')}`,
    );
    expect(page.ground).toEqual({ r: 246, g: 241, b: 231, alpha: 1 });
    expect(html).not.toContain('rest');
  });

  it('table rows that end with their words share columns, whatever their number of lines', () => {
    const row = (id: string, y: number, cells: readonly string[]) =>
      `<g id="${id}">${cells.map((cell, at) => word([10, 65, 140][at]!, y, cell)).join('')}</g>`;
    const second = `<text font-size="10" font-family="Commissioner"><tspan x="140" y="50">to Holm</tspan><tspan x="140" y="62">and back</tspan></text>`;
    const { node } = converted(
      `<g id="times"><rect width="200" height="90" fill="#eee"/>${row('one', 20, ['Sund', '06:10', 'daily'])}
        <g id="two">${word(10, 50, 'Lunn')}${word(65, 50, '07:05')}${second}</g>
        ${row('three', 80, ['Holmefjord', '9', 'weekly'])}</g>`,
    );
    const tracks = ['one', 'two', 'three'].map((name) => node(name).layout?.tracks);
    expect(tracks[0]).toHaveLength(3);
    expect(tracks[1]).toEqual(tracks[0]);
    expect(tracks[2]).toEqual(tracks[0]);
  });

  it('a slightly off-centre box stands where it was drawn', () => {
    const { page } = converted(
      `<g id="quay"><rect width="200" height="90" fill="#eee"/>${box('sign', 20, 10, 158.6, 30, word(30, 30, 'Sund'))}${box('deck', 0, 60, 200, 20, word(10, 74, 'Holm'))}</g>`,
    );
    const sign = walkNodes(page.children).find(({ path }) => path.endsWith('/sign'));
    expect(sign?.place).toMatchObject({ margin: { left: 0, right: 1 } });
  });

  it('a slightly off-centre broad box stands exactly where it was drawn', () => {
    const { page } = converted(
      `<g id="quay"><rect width="200" height="90" fill="#eee"/>${box('sign', 20, 10, 159.4, 30, word(30, 30, 'Sund'))}${box('deck', 0, 60, 200, 20, word(10, 74, 'Holm'))}</g>`,
    );
    const sign = walkNodes(page.children).find(({ path }) => path.endsWith('/sign'));
    expect(sign?.place).toMatchObject({ margin: { left: 0, right: 1 } });
  });
});

it('much space at the sides is free space, however much there is above', () => {
  const title =
    '<text x="300" y="170" font-size="40" font-family="Commissioner" text-anchor="middle">Ternholm</text>';
  const hero = `<g id="hero"><rect width="600" height="320" fill="#345"/><g id="heading" role="banner"><g id="title">${title}</g>${word(270, 200, 'Six crossings')}</g></g>`;
  const { node } = convertedOf(
    readText(
      `<svg xmlns="http://www.w3.org/2000/svg" width="600" height="400">${hero}<g id="rest"><rect y="320" width="600" height="80" fill="#eee"/>${word(20, 360, 'Sund')}</g></svg>`,
    ),
  );
  expect(node('hero').layout!.padding.left).toBeLessThan(96);
});

it('content that is drawn a px off its box, with as much room on the other side, stands in it', () => {
  const lamp = (id: string, x: number) => box(id, x, 11, 40, 30, word(x + 8, 30, 'Sund'));
  const { node, css } = converted(
    `<g id="quay"><rect x="10" y="10" width="180" height="30" fill="#eee"/>${lamp('red', 20)}${lamp('green', 100)}</g>`,
  );
  expect(node('quay').layout?.padding).toMatchObject({ top: 0, bottom: 0 });
  expect(css).not.toMatch(/margin[^;]*: -/);
});
