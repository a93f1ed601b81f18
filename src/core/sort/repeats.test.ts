import { idAt } from '../../../tests/support/ids';
import { convertReading, layerNamed, readInside } from '../../../tests/support/mockups';
import type { Decision } from './decision';
import { readStateName } from './stateNames';
import type { Tag } from './tag';

const row = (id: string, y: number, more = '') =>
  `<g id="${id}" transform="translate(0 ${y})"><rect width="90" height="20" fill="#eee"/><circle cx="9" cy="9" r="4"/><text x="20" y="14" font-size="12">${id}</text><text x="60" y="14" font-size="10">${y}</text>${more}</g>`;

function decide(content: string, tags: Record<string, Tag> = {}) {
  const reading = readInside(content);
  const { decisions } = convertReading(reading, 'nested', new Map(Object.entries(tags)));
  return (name: string): Decision => decisions.get(layerNamed(reading, name).id)!;
}

describe('repeats', () => {
  it('are like-built siblings, whatever their words, with parts missing or added', () => {
    const of = decide(
      row('Skerrivane', 0) +
        row('Oldness', 22) +
        row('Hallow', 44, '<line x2="9" y2="9" stroke="red"/>') +
        '<g id="notice"><text y="90">No boats</text></g>',
    );
    expect(['Skerrivane', 'Oldness', 'Hallow'].map((name) => of(name).repeat)).toMatchObject([
      { index: 0, count: 3, pattern: idAt('/Skerrivane') },
      { index: 1 },
      { index: 2 },
    ]);
    expect(of('notice').repeat).toBeNull();
  });

  it('are certain when the file instances one element several times', () => {
    const of = decide(
      '<defs><g id="buoy"><circle r="4"/></g></defs><use id="north" href="#buoy" x="9"/><use id="south" href="#buoy" x="39"/><use id="east" href="#buoy" x="69"/>',
    );
    expect(of('south').repeat).toMatchObject({ certain: true, count: 3 });
  });

  it('are lists with items', () => {
    const of = decide(`<g id="boats">${row('Auk', 0)}${row('Fulmar', 22)}${row('Petrel', 44)}</g>`);
    expect([of('boats').role, of('Auk').role, of('Petrel').role]).toEqual(['list', 'item', 'item']);
  });

  it('share the tags of one of them, except where other tags are set', () => {
    const of = decide(row('Auk', 0) + row('Fulmar', 22) + row('Petrel', 44), {
      [idAt('/Auk')]: { classes: ['boat'] },
      [idAt('/Auk/circle')]: { outcome: 'picture' },
      [idAt('/Petrel/circle')]: { outcome: 'aside' },
    });
    expect([of('Fulmar').classes, of('Petrel').classes]).toEqual([['boat'], ['boat']]);
    expect(of('Fulmar/circle')).toMatchObject({ outcome: 'picture', origin: 'alike' });
    expect(of('Petrel/circle')).toMatchObject({ outcome: 'aside', origin: 'person' });
  });
});

describe('states', () => {
  // Common practice, no source: name suffixes for versions of one thing.
  it.each([
    ['Save pressed', 'save', 'active'],
    ['save_over', 'save', 'hover'],
    ['saveHover 2', 'save 2', 'hover'],
    ['Switch 2 on', 'switch 2', 'checked'],
    ['Switch 2 off', 'switch 2', null],
    ['btn--disabled', 'btn', 'disabled'],
    ['hover/Save', 'save', 'hover'],
    ['Pressed', '', 'active'],
    ['Overview', 'overview', null],
  ])('%s is %s in the state %s', (name, stem, state) => {
    expect(readStateName(name)).toMatchObject({ stem, state });
  });

  it('lead to their base, and are not on the page beside it', () => {
    const of = decide(
      '<rect id="Save" width="40" height="20"/><rect id="Save-over" y="2" width="40" height="20" display="none"/><rect id="Save-open" x="50" width="40" height="20"/>',
    );
    expect(of('Save-over')).toMatchObject({
      outcome: 'aside',
      state: { base: idAt('/Save'), state: 'hover' },
      reason: 'aside: it shows Save in the state hover',
    });
    expect(of('Save-open').state).toBeNull();
  });

  it('are on the page when they are the visible version', () => {
    const of = decide(
      '<g><rect id="Switch-off" width="40" height="20" display="none"/><rect id="Switch-on" width="40" height="20"/></g>',
    );
    expect([of('Switch-off').outcome, of('Switch-on').outcome]).toEqual(['aside', 'element']);
  });
});

describe('other rules', () => {
  it.each([
    [
      'Guides',
      '<g id="Guides"><path d="M0 0L9 9" stroke="#0ff"/></g>',
      'aside: its name says "guides", and it draws only lines',
    ],
    [
      'Raster',
      `<g id="Raster">${Array.from({ length: 8 }, (_, at) => `<rect x="${at * 25}" width="12" height="100" fill="#f00" fill-opacity=".1"/>`).join('')}<rect width="200" height="2" opacity=".1"/></g>`,
      'aside: a grid of 9 lines over the whole screen',
    ],
    [
      'lost',
      '<rect id="lost" width="9" height="9"/><rect id="Deck" width="50" height="50"/>',
      'aside: Deck covers it wholly',
    ],
  ])('%s', (name, content, reason) => {
    expect(decide(content)(name).reason).toBe(reason);
  });

  it('layers that were put aside cover nothing', () => {
    const of = decide('<rect id="lost" width="9" height="9"/><rect id="Deck" width="50" height="50"/>', {
      [idAt('/Deck')]: { outcome: 'aside' },
    });
    expect(of('lost').outcome).toBe('element');
  });

  it.each([
    [
      'Send',
      'button',
      '<g id="Send"><rect width="80" height="32" rx="4" fill="#246"/><text x="22" y="20" font-size="14">Send it</text></g>',
    ],
    [
      'badge',
      'box',
      '<g id="badge"><rect width="60" height="18" rx="9" fill="#246"/><text x="10" y="13" font-size="11">On time</text></g>',
    ],
    [
      'card-title',
      'heading-1',
      '<g id="card-title"><text y="20">Day ticket</text></g><text y="60">body body</text>',
    ],
    ['card-body', 'box', '<g id="card-body"><text y="20">Day ticket</text><rect width="9" height="9"/></g>'],
    ['h3-12', 'heading-3', '<g id="h3-12"><text y="20">Day ticket</text></g>'],
    [
      'top',
      'header',
      '<g id="top"><rect width="200" height="15"/><text y="10" font-size="9">Ternholm</text></g><g id="rest"><rect y="20" width="200" height="50"/></g>',
    ],
  ])('%s has the role %s', (name, role, content) => {
    expect(decide(content)(name).role).toBe(role);
  });
});
