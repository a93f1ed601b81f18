import { idAt } from '../../../../../tests/support/ids';
import { convertReading, emitted, readInside, readText } from '../../../../../tests/support/mockups';
import type { Tag } from '../../../sort/tag';
import { walkNodes } from '../../walk';
import type { BoxNode } from '../../node';
import type { Page } from '../../frame';

const box = (id: string, x: number, y: number, width: number, height: number, inside = '') =>
  `<g id="${id}"><rect x="${x}" y="${y}" width="${width}" height="${height}" fill="#fff"/>${inside}</g>`;
const word = (x: number, y: number, text: string) =>
  `<text x="${x}" y="${y}" font-size="10" font-family="Commissioner">${text}</text>`;

function converted(content: string, tags: Record<string, Tag> = {}, arrangement: 'flow' | 'nested' = 'flow') {
  return convertedOf(readInside(content), tags, arrangement);
}

function convertedOf(
  reading: ReturnType<typeof readText>,
  tags: Record<string, Tag> = {},
  arrangement: 'flow' | 'nested' = 'flow',
) {
  const conversion = convertReading(reading, arrangement, new Map(Object.entries(tags)));
  const nodes = walkNodes(conversion.pages[0]!.children);
  const node = (name: string): BoxNode => {
    const found = nodes.find(
      (each) => each.path.endsWith(`/${name}`) && each.kind === 'box' && !each.anonymous,
    );
    if (found?.kind !== 'box') throw new Error(`There is no box ${name}`);
    return found;
  };
  return {
    html: emitted(conversion, 'index.html'),
    css: emitted(conversion, 'styles.css'),
    node,
    page: conversion.pages[0]!,
  };
}

describe('rows, columns and grids', () => {
  const deck = `<g id="deck"><rect width="200" height="60" fill="#eee"/>${[0, 1, 2]
    .map((at) =>
      box(`cabin${at}x`, 8 + at * 63, 8, 58, 44, word(14 + at * 63, 30, ['Sund', 'Holm', 'Lunn'][at]!)),
    )
    .join('')}</g>`;

  it('boxes of equal width share the free width', () => {
    const { layout } = converted(deck).node('deck');
    expect(layout).toMatchObject({
      direction: 'grid',
      gap: 5,
      padding: { top: 8, left: 8, right: 8, bottom: 8 },
    });
    expect(layout?.tracks).toEqual([{ kind: 'share' }, { kind: 'share' }, { kind: 'share' }]);
  });

  it('the space after words of any length is a plain gap, equal in rows that differ in words only', () => {
    const notice = (id: string, y: number, words: string) =>
      `<g id="${id}"><rect x="4" y="${y}" width="192" height="40" fill="#eee"/>
        <g id="${id}-words">${word(12, y + 16, words)}${word(12, y + 30, 'to Holm')}</g>
        <g id="${id}-pier" data-tags="picture"><circle cx="172" cy="${y + 20}" r="8" fill="#06c"/></g></g>`;
    const { node, page } = converted(
      `${notice('early', 4, 'The first ferry to Sund')}${notice('late', 52, 'The last ferry of the night')}`,
    );
    const gaps = ['early', 'late'].map((name) => node(name).layout?.gap);
    expect(gaps).toEqual([16, 16]);
    const words = walkNodes(page.children).filter(
      ({ place }) => place.kind === 'flow' && place.widthMode === 'rest',
    );
    expect(words.map(({ place }) => place.width)).toEqual([136, 136]);
  });

  it('three parts with equal free space between them are spread apart', () => {
    const piers = box('sund', 6, 20, 10, 20) + box('holm', 88, 20, 14, 20) + box('lunn', 174, 20, 20, 20);
    const bar = `<g id="bar"><rect y="10" width="200" height="40" fill="#eee"/>${piers}</g>`;
    expect(converted(bar).node('bar').layout).toMatchObject({ direction: 'row', justify: 'between' });
  });

  it('nothing shrinks in a row that continues past the edge of its clip', () => {
    const spans = [
      [10, 50],
      [70, 64],
      [144, 80],
    ] as const;
    const piers = spans
      .map(([x, width]) => box(`pier${x}`, x, 20, width, 60, word(x + 4, 40, 'Pier')))
      .join('');
    const edge = '<clipPath id="edge"><rect x="10" y="10" width="180" height="80"/></clipPath>';
    const { page } = converted(
      `${edge}<g id="quay" clip-path="url(#edge)">${piers}</g><rect y="95" width="200" height="5"/>`,
    );
    const wides = walkNodes(page.children).flatMap(({ path, place }) =>
      path.includes('/pier') && place.kind === 'flow' ? [place.widthMode] : [],
    );
    expect(wides).toEqual(['rigid', 'rigid', 'rigid']);
  });

  it('parts of one size that each cover the one before are an overlapping row', () => {
    const crew = [0, 1, 2].map((at) =>
      box(`mate${at}`, 10 + at * 20, 10, 26, 26, word(15 + at * 20, 26, 'Ab')),
    );
    const { node, page } = converted(
      `<g id="crew">${crew.join('')}</g><rect y="60" width="200" height="5"/>`,
    );
    expect(node('crew').layout).toMatchObject({ direction: 'row', gap: 0 });
    const mates = walkNodes(page.children).filter(({ path }) => path.includes('/mate'));
    const lefts = mates.map(({ place }) => place.kind === 'flow' && place.margin.left);
    expect(lefts).toEqual([0, -6, -6]);
  });

  it('an overlap over the borders does not widen the box', () => {
    const face =
      '<g id="face"><rect x="4" y="14" width="110" height="72" fill="none" stroke="#06c" stroke-opacity=".3" stroke-width="8"/><g id="mark" data-tags="picture"><ellipse cx="59" cy="50" rx="59" ry="40"/></g></g>';
    const { node } = converted(`${face}${box('words', 130, 0, 70, 100, word(134, 40, 'Sund'))}`);
    expect(node('face').place).not.toMatchObject({ widthMode: 'fit' });
  });

  it('parts are read in visual order, not in drawing order', () => {
    const { html } = converted(
      `<g id="list">${word(10, 60, 'third')}${word(10, 20, 'first')}${word(10, 40, 'second')}</g>`,
    );
    expect(html.indexOf('first')).toBeLessThan(html.indexOf('second'));
    expect(html.indexOf('second')).toBeLessThan(html.indexOf('third'));
  });

  it('the page takes the classes of its background box', () => {
    const { html, page } = converted(
      `<rect width="200" height="100" fill="#123" data-tags=".deep"/>${word(10, 60, 'Sund')}`,
    );
    expect(html).toContain('<div class="screen deep"');
    expect(page.ground).toMatchObject({ r: 0x11, g: 0x22, b: 0x33 });
  });

  it('an intended overlap is out of flow, pinned to the nearest edges', () => {
    const card = box('card', 10, 10, 120, 60, `${word(20, 30, 'Day ticket')}${word(20, 50, 'All harbours')}`);
    const { node } = converted(
      `<g id="stall">${card}<g id="seal"><circle cx="130" cy="12" r="9" fill="#d33"/></g></g>`,
    );
    expect(node('card').place.kind).toBe('flow');
    expect(node('circle').place).toMatchObject({ kind: 'fixed', pins: { x: 'end', y: 'start' } });
  });

  it('a part with words that covers another one flows, and the covered one lies beneath', () => {
    const plate = (id: string, y: number, height: number) =>
      box(id, 0, y, 200, height, `${word(10, y + 14, 'Holm')}${word(90, y + 14, 'Sund')}`);
    const { node } = converted(`${plate('bar', 0, 20)}${plate('quay', 0, 60)}${plate('deck', 60, 30)}`);
    expect(['bar', 'quay', 'deck'].map((name) => node(name).place.kind)).toEqual(['fixed', 'flow', 'flow']);
  });

  it('of overlapping parts the one with more words flows', () => {
    const page = `<g id="page"><rect width="200" height="100" fill="#eee"/><g id="body" opacity=".9">${box('words', 0, 0, 200, 90, word(10, 20, 'The first ferry to Sund') + word(10, 60, 'The last ferry to Holm'))}</g><g id="bar">${box('more', 60, 10, 70, 20, word(70, 24, 'More'))}</g></g>`;
    const { page: laid } = converted(page);
    const kinds = walkNodes(laid.children).map(({ path, place }) => [path.split('/').at(-1), place.kind]);
    expect(kinds).toContainEqual(['more', 'fixed']);
    expect(kinds.filter(([, kind]) => kind === 'fixed')).toHaveLength(1);
  });

  it('the words of a row grow into the free space after them', () => {
    const { node } = converted(
      `<g id="bar"><rect width="200" height="30" fill="#eee"/><g id="links">${word(8, 18, 'Crossings')}${word(70, 18, 'Tickets')}</g>${box('search', 170, 6, 24, 18)}</g>`,
    );
    expect(node('links').place).toMatchObject({ widthMode: 'fit' });
  });

  it('an absolute box is sized by its words where nothing is in the way', () => {
    const card = box('card', 10, 10, 120, 60, `${word(20, 30, 'Day ticket')}${word(20, 50, 'All harbours')}`);
    const seal = `<g id="seal"><rect x="100" y="2" width="39" height="16" fill="#d33"/>${word(105, 15, 'N')}<rect x="120" y="8" width="14" height="4" fill="#fff"/></g>`;
    const { html, css } = converted(`<g id="stall">${card}${seal}</g>`);
    expect(`${html}${css}`).toMatch(/position: absolute;\s+right: 0/);
    expect(`${html}${css}`).not.toMatch(/width: 39px|height: 16px/);
  });

  it('many parts of which few are separate are a diagram, and keep their coordinates', () => {
    const nodes = [0, 1, 2, 3].map((at) =>
      box(`pier${at}x`, 10 + at * 40, 10, 30, 20, word(14 + at * 40, 24, 'P')),
    );
    const ways = [0, 1, 2, 3].map(
      (at) =>
        `<path id="way${at}x" d="M${20 + at * 38} 15Q100 99 180 ${15 + at}" fill="none" stroke="#000"/>`,
    );
    const { node } = converted(`<g id="chart">${nodes.join('')}${ways.join('')}</g>`);
    expect(node('chart').layout).toBeUndefined();
    expect(node('pier2x').place).toMatchObject({
      kind: 'fixed',
      pins: { x: 'start', y: 'start', widthMode: 'drawn' },
    });
  });

  it('an overlay is painted last, whichever part flows', () => {
    const veil = '<g id="veil"><rect x="0" y="0" width="160" height="60" fill="#000" opacity=".5"/></g>';
    const words = `<g id="card">${word(8, 20, 'Sund')}${word(8, 50, 'to Holm by night, with a cabin')}</g>`;
    const photo = '<g id="photo" data-tags="picture"><circle cx="60" cy="30" r="30" fill="#06c"/></g>';
    const { html } = converted(`<g id="ticket">${photo}${words}${veil}</g>`);
    const at = (name: string) => html.indexOf(name);
    expect(at('photo')).toBeLessThan(at('Sund'));
    expect(html.slice(at('Holm'))).toMatch(/<div[^>]*><\/div>/);
  });

  it('two high columns with uneven lower edges keep their drawn heights', () => {
    const { node } = converted(
      `<g id="hold">${box('bar', 4, 4, 50, 80, word(8, 20, 'Sund') + word(8, 70, 'Lunn'))}${box('main', 64, 5.4, 120, 82, word(70, 28, 'Holm') + word(70, 78, 'Ebb'))}</g>`,
    );
    expect(node('bar').place).toMatchObject({ kind: 'flow', margin: { top: 0 } });
    const { margin } = node('main').place as { margin: { top: number } };
    expect(margin.top).toBeCloseTo(1.4);
  });

  it('a part that nearly fills its column stands where it was drawn', () => {
    const { node } = converted(
      `<g id="quay">${box('short', 4, 4, 60, 20, word(8, 18, 'Sund') + word(44, 18, 'Ebb'))}${box('long', 5, 30, 110, 20, word(9, 44, 'Sund to Holm') + word(84, 44, 'Lunn'))}<rect x="130" y="4" width="60" height="46" fill="#eee"/></g>`,
    );
    expect(node('long').place).toMatchObject({ kind: 'flow', margin: { left: 1 } });
  });

  it('separate lines of a headline are a column with a tight line height', () => {
    const line = (y: number, text: string) =>
      `<text x="10" y="${y}" font-size="30" font-family="Commissioner">${text}</text>`;
    const { page, css } = converted(line(40, 'Ternholm') + line(69, 'Ferries') + word(10, 90, 'since 1921'));
    expect(page.children.map(({ place }) => place.kind)).toEqual(['flow', 'flow', 'flow']);
    expect(page.children.map(({ place }) => place.height)).toEqual([29, 29, 12]);
    expect(css).toContain('30px/29px Commissioner');
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
    for (const pad of pads) expect(pad).toBeCloseTo(5.4, 1);
  });

  it('the overhang of half a line widens nothing', () => {
    const cell = (at: number) =>
      `<g id="cell${at}x"><rect x="${10 + at * 60}" y="10" width="60" height="30" fill="#${at}f9"/><path d="M${9.5 + at * 60} 39.5H${70.5 + at * 60}" stroke="#999"/>${word(14 + at * 60, 28, 'Sund')}</g>`;
    const { node } = converted(`<g id="line">${[0, 1, 2].map(cell).join('')}</g>`);
    expect([0, 1, 2].map((at) => node(`cell${at}x`).place.x)).toEqual([10, 70, 130]);
    expect([0, 1, 2].map((at) => node(`cell${at}x`).place.width)).toEqual([60, 60, 60]);
  });

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
    expect(sign?.place).toMatchObject({ margin: { left: 0, right: expect.closeTo(1.4) as number } });
  });

  it('a slightly off-centre broad box stands exactly where it was drawn', () => {
    const { page } = converted(
      `<g id="quay"><rect width="200" height="90" fill="#eee"/>${box('sign', 20, 10, 159.4, 30, word(30, 30, 'Sund'))}${box('deck', 0, 60, 200, 20, word(10, 74, 'Holm'))}</g>`,
    );
    const sign = walkNodes(page.children).find(({ path }) => path.endsWith('/sign'));
    expect(sign?.place).toMatchObject({ margin: { left: 0, right: expect.closeTo(0.6) as number } });
  });

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
    expect(tops).toEqual([-1, -1, -1]);
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

describe('boxes drawn as several shapes', () => {
  it('a blurred shape beneath becomes the shadow, a frame the border, a bar along an edge the border of that side', () => {
    const { css, html } = converted(
      `<filter id="b"><feGaussianBlur stdDeviation="3"/></filter><g id="card"><rect x="20" y="22" width="100" height="50" fill="#000" fill-opacity=".2" filter="url(#b)"/><rect x="20" y="20" width="100" height="50" fill="#fff"/><rect x="20" y="69" width="100" height="1" fill="#ccc"/>${word(30, 40, 'Sund')}</g>`,
      {},
      'nested',
    );
    expect(css).toContain('box-shadow: 0 2px 6px rgb(0 0 0 / 20%)');
    expect(css).toContain('border-bottom: 1px solid #ccc');
    expect(html.match(/<(div|article)/g)).toHaveLength(2);
  });
});

it('a box beneath another that sticks out slightly becomes its shadow', () => {
  const card = (by: number, spread: number, corner: number, alpha: number) => {
    const [x, y, width, height] = [20 - spread + by, 20 - spread + by, 100 + 2 * spread, 50 + 2 * spread];
    const under = `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="${corner}" fill-opacity="${alpha}"/>`;
    const box = '<rect x="20" y="20" width="100" height="50" rx="8" fill="#fff"/>';
    return converted(`<g id="card">${under}${box}${word(30, 40, 'Sund')}</g>`, {}, 'nested').node('card')
      .look;
  };
  expect(card(0, 1, 8, 0.1)).toMatchObject({ shadows: [{ dx: 0, dy: 0, spread: 1, deviation: 0 }] });
  expect(card(4, 0, 8, 1)).toMatchObject({ shadows: [{ dx: 4, dy: 4, spread: 0, deviation: 0 }] });
  // The other corners, or the offset beside the box, are visible.
  expect(card(4, 0, 6, 1).shadows).toBeUndefined();
  expect(card(30, 0, 8, 1).shadows).toBeUndefined();
});

describe('bars clipped at rounded corners', () => {
  const bars =
    '<rect x="10" y="10" width="120" height="3" fill="#063"/><rect x="10" y="59" width="120" height="1" fill="#999"/>';
  const card = (inside: string) =>
    `<clipPath id="c"><path d="M16 10H124A6 6 0 0 1 130 16V60H10V16A6 6 0 0 1 16 10Z"/></clipPath>
     <g id="card"><path d="M16 10H124A6 6 0 0 1 130 16V60H10V16A6 6 0 0 1 16 10Z" fill="#fff"/><g clip-path="url(#c)">${inside}</g>${word(20, 40, 'Sund')}${word(80, 40, 'Holm')}</g>`;

  it('become borders of the box beneath', () => {
    const { look, children } = converted(card(bars), {}, 'nested').node('card');
    expect(look).toMatchObject({
      sides: { top: { width: 3, colour: { g: 102 } }, bottom: { width: 1, colour: { r: 153 } } },
    });
    expect(look.radii?.map(({ x }) => Math.round(x))).toEqual([6, 6, 0, 0]);
    expect(children.map(({ kind }) => kind)).toEqual(['text', 'text']);
  });

  it('become borders without a clip along a side between sharp corners', () => {
    const bar = (y: number) => {
      const shape = '<path d="M16 10H124A6 6 0 0 1 130 16V60H10V16A6 6 0 0 1 16 10Z" fill="#fff"/>';
      const inside = `${shape}<rect x="10" y="${y}" width="120" height="1" fill="#999"/>`;
      return converted(`<g id="card">${inside}${word(20, 40, 'Sund')}</g>`, {}, 'nested').node('card').look
        .sides;
    };
    expect(bar(59)).toMatchObject({ bottom: { width: 1 } });
    expect(bar(10)).toBeUndefined();
  });

  it('stay where the clip cuts something else as well', () => {
    const other = '<rect x="40" y="20" width="9" height="9" fill="#c00"/>';
    const { look } = converted(card(bars + other), {}, 'nested').node('card');
    expect(look.sides).toBeUndefined();
  });
});

describe('lines around words', () => {
  const cell = (x: number, words: string, colour = '#dde') =>
    `<g id="cell${x}"><g stroke="${colour}" stroke-linecap="square"><path d="M${x} 10.78H${x + 60}"/><path d="M${x + 60} 10.78V40.78"/></g>${word(x + 10, 30, words)}</g>`;

  it('become borders of the cell that they lie along', () => {
    const { css, html } = converted(`<g id="row">${cell(10, 'Sund')}${cell(70, 'Holm')}</g>`);
    expect(css).toMatch(/border-top: 1px solid #dde;\s+border-right: 1px solid #dde/);
    expect(html).toMatch(/<(span|li|div) class="[\w-]+"[^>]*>Sund<\//);
  });

  it('stay bars where a border would visibly move to whole px', () => {
    const { css } = converted(`<g id="row">${cell(10, 'Sund', '#000')}${cell(70, 'Holm', '#000')}</g>`);
    expect(css).not.toContain('border-top');
  });
});

describe('states', () => {
  const lamp = `<g id="lamp [button]"><rect width="60" height="30" rx="6" fill="#246"/>${word(12, 20, 'Light')}</g><g id="lamp hover" display="none"><rect width="60" height="30" rx="6" fill="#579"/></g>`;

  it('become pseudo-classes with only the differences', () => {
    expect(converted(lamp).css).toMatch(/:hover \{\n {2}background: #579;\n\}/);
  });

  const sail = (fill: string) =>
    `<path d="M5 5C20 -5 40 40 60 10L50 50L8 40Z" fill="${fill}"/><path d="M15 15C20 5 30 30 40 10L30 40Z"/>`;

  it.each([
    [
      'of a picture is shown in its place',
      '',
      /\.sail:hover \{\n {2}content: url\("pictures\/sail-hover\.svg"\);/,
    ],
    ['of a button that is a picture, inside of it', ' [button]', /\.sail:hover > img \{\n {2}content: url/],
  ])('%s', (_, tag, rule) => {
    const { css, html } = converted(
      `<g id="sail${tag}">${sail('#246')}</g><g id="sail hover" display="none">${sail('#579')}</g>`,
    );
    expect(css).toMatch(rule);
    expect(/<button [^>]*type="button"[^>]*>\s*<img /.test(html)).toBe(tag !== '');
  });

  it('of parts are selected through the element that has them', () => {
    const knob = (x: number) =>
      `<rect width="60" height="30" rx="15" fill="#123"/><circle cx="${x}" cy="15" r="10" fill="#eee"/>`;
    const { css } = converted(
      `<g id="switch off">${knob(15)}</g><g id="switch on" display="none">${knob(45)}</g>`,
    );
    expect(css).toMatch(/\[aria-pressed="true"\] \.[\w-]+,[^{]*\{\n {2}translate: 30px 0;/);
  });
});

it('a box that starts about where another ends shares no grid row with it', () => {
  const { node } = converted(
    `<g id="tide"><rect width="200" height="100" fill="#eee"/>${word(130, 20, 'ebb')}${box('height', 40, 20, 60, 30)}${box('harbour', 40, 60, 60, 20)}</g>`,
  );
  expect(node('tide').layout?.direction).not.toBe('grid');
});

describe('room for longer words', () => {
  const stretched = (x: number, y: number, text: string, length: number) =>
    `<text x="${x}" y="${y}" font-size="10" font-family="Commissioner" textLength="${length}" lengthAdjust="spacingAndGlyphs">${text}</text>`;
  const disc = (letters: string) =>
    `<g id="face"><rect x="10" y="10" width="40" height="40" rx="20" fill="#246"/>${word(24, 34, letters)}<circle id="light" cx="46" cy="46" r="4" fill="#3a3"/></g>`;
  const wrapsOf = (page: Page) =>
    walkNodes(page.children).flatMap((each) => (each.kind === 'text' ? [each.wraps] : []));

  it('an avatar keeps its size, and its edge badge keeps its place', () => {
    const { node } = converted(`${disc('VH')}${word(70, 34, 'Vigdis Holm')}`);
    expect(node('face').place).toMatchObject({ widthMode: 'rigid', width: 40 });
    expect(node('light').place).toMatchObject({ kind: 'fixed', pins: { x: 'end', y: 'end' } });
  });

  it('a disc with a number on it is as wide as the number', () => {
    const count = `<g id="count"><rect x="60" y="10" width="20" height="20" rx="10" fill="#246"/>${word(67, 24, '8')}</g>`;
    const { css } = converted(`<g id="unread">${word(10, 24, 'Notices')}${count}</g>`);
    expect(css).toMatch(/\.count \{/);
    expect(css).not.toMatch(/width: 20px/);
  });

  it('words at the end of a row with free space get no extra width: it would move them', () => {
    const bar = `<g id="bar">${stretched(10, 24, 'Berths', 34)}${stretched(116, 24, 'Day', 22)}${stretched(150, 24, 'Night', 30)}</g>`;
    const { page } = converted(
      `<g id="card"><rect width="190" height="80" fill="#eee"/>${bar}<g id="note">${stretched(10, 54, 'Berths and lights of the quay', 150)}</g></g>`,
    );
    const words = walkNodes(page.children).filter(({ path }) => path.includes('/bar/'));
    expect(words).toHaveLength(3);
    for (const { place } of words) {
      if (place.kind !== 'flow') throw new Error('The words do not flow.');
      // The extra width of stretched letters, and no px more.
      expect(place.margin.right).toBeCloseTo(place.width * (place.linear![0] - 1), 1);
    }
  });

  it('an absolute box in the middle grows to both sides', () => {
    const seal = `<g id="seal"><rect x="80" y="40" width="40" height="20" fill="#fff"/>${word(95, 54, 'or')}</g>`;
    const { css } = converted(
      `<g id="card"><rect width="200" height="50" fill="#eee"/>${word(8, 20, 'Sund')}${seal}</g>`,
    );
    expect(css).toMatch(/\.seal \{[^}]*width: fit-content;\s+margin-left: auto;\s+margin-right: auto;/);
  });

  it('an absolute line has the width of its words, and stays one line', () => {
    const { html, css } = converted(
      `<g id="ramp"><rect x="0" y="0" width="120" height="40" fill="#eee"/>${word(8, 24, 'Car deck')}</g>${word(100, 36, 'closed')}`,
    );
    expect(`${html}${css}`).toMatch(/position: absolute/);
    expect(html).toMatch(/white-space: nowrap[^>]*>closed</);
    expect(`${html}${css}`).not.toMatch(/width: 2\d\.?\d*px/);
  });

  it('a box with a badge in its corner grows with its words', () => {
    const badge = `<g id="badge"><rect x="56" y="6" width="24" height="20" rx="7" fill="#d33"/>${word(64, 19, '12')}</g>`;
    const { node } = converted(
      `<g id="bell"><rect x="10" y="6" width="70" height="30" fill="#eee"/>${word(10, 30, 'Departures')}${badge}</g>`,
    );
    expect(node('bell').place).toMatchObject({ widthMode: 'fit' });
  });

  it('parts at both ends of a row leave the space between them free', () => {
    const pier = box('pier', 136, 10, 60, 30, word(140, 28, 'To the pier'));
    const { node } = converted(
      `<g id="head"><rect width="200" height="50" fill="#eee"/>${word(4, 28, 'Orden')}<g id="ways">${word(124, 28, 'A')}${pier}</g></g>`,
    );
    expect(node('head').layout).toMatchObject({ justify: 'between' });
    expect(node('ways').place).toMatchObject({ widthMode: 'fit' });
  });

  it('words at the end of a full row have a px to spare', () => {
    const way = (id: string, x: number, width: number, text: string) =>
      box(
        id,
        x,
        20,
        width,
        20,
        `${word(x + 4, 34, text)}<rect x="${x + width - 8}" y="26" width="4" height="8"/>`,
      );
    const { node } = converted(
      `<g id="ways"><rect width="200" height="60" fill="#eee"/>${way('sund', 0, 40, 'Sund')}${way('holm', 52, 48, 'Holm')}${way('lunn', 112, 88, 'Lunn and Ebb')}</g>`,
    );
    expect(node('lunn').place).toMatchObject({ margin: { right: -1 } });
  });

  it('a button beside other parts does not take the rest', () => {
    const { html, css } = converted(
      `<g id="foot"><rect width="200" height="50" fill="#eee"/>${word(4, 28, 'Any day this season')}
        <g id="book [button]"><rect x="110" y="10" width="86" height="30" fill="#06c"/>${word(114, 28, 'Book')}<circle cx="180" cy="24" r="6"/></g></g>`,
    );
    expect(html).toMatch(/<button class="book"/);
    expect(`${html}${css}`).not.toMatch(/flex: 1/);
  });

  it('stretched words wrap where there is more room than they take, and in parts of their own width', () => {
    const { page } = converted(
      `<g id="deck"><rect width="200" height="80" fill="#eee"/>${box('pass', 120, 10, 70, 24, stretched(126, 26, 'Day ticket', 58))}
        ${stretched(8, 70, 'Any day this season', 120)}</g>`,
    );
    expect(wrapsOf(page)).toEqual(['freely', 'freely']);
  });
});

it('a developer moves an element and changes a caption without breaking the rest', () => {
  const row = (at: number, text: string) =>
    box(`row${at}x`, 10, 6 + at * 30, 120, 24, word(20, 22 + at * 30, text));
  const { html } = converted(`<g id="berths">${row(0, 'Sund')}${row(1, 'Holm')}${row(2, 'Lunn')}</g>`);
  // Rows stand without coordinates of their own, so that their order is all that places them.
  const items = html.match(/<li [\s\S]*?<\/li>/g) ?? [];
  expect(items).toHaveLength(3);
  for (const item of items) expect(item).not.toMatch(/(left|top|width|height):/);
});
