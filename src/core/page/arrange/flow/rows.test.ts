import { box, converted, deck, word } from '../../../../../tests/support/flowed';
import { walkNodes } from '../../walk';

describe('rows and columns', () => {
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
});

describe('parts that overlap', () => {
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
      `<g id="hold">${box('bar', 4, 4, 50, 80, word(8, 20, 'Sund') + word(8, 70, 'Lunn'))}${box('main', 64, 6.4, 120, 82, word(70, 28, 'Holm') + word(70, 78, 'Ebb'))}</g>`,
    );
    expect(node('bar').place).toMatchObject({ kind: 'flow', margin: { top: 0 } });
    const { margin } = node('main').place as { margin: { top: number } };
    expect(margin.top).toBe(2);
  });
});
