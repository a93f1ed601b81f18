import { idAt } from '../../../tests/support/ids';
import { readInside, readText, convertReading, emitted } from '../../../tests/support/mockups';
import { splitName, isTelling } from '../mockup/layerName';
import { layersOf } from '../mockup/walk';
import { readBrackets } from './names/readBrackets';
import { findScreens } from './screens/findScreens';
import { applyStructuralTags } from './structuralTags';
import type { Tag } from './tag';

const page = (name: string, x: number, y: number, width: number, height: number, content = '') =>
  `<g id="${name}" transform="translate(${x} ${y})"><rect width="${width}" height="${height}" fill="#fff"/>${content}</g>`;
const sheet = (width: number, height: number, content: string) =>
  readText(`<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}">${content}</svg>`)
    .mockup;
const none = new Map<string, Tag>();
const namesOf = (content: string, tags = none) =>
  applyStructuralTags(sheet(1800, 1000, content), tags).screens.map(
    ({ name, width, height }) => `${name} ${width}×${height}`,
  );

describe('screens of a sheet', () => {
  const two =
    page('harbour', 40, 60, 1280, 800, '<text y="40">Harbour</text>') + page('pocket', 1360, 60, 390, 844);

  it('are groups of screen size side by side, each with its own coordinates', () => {
    const mockup = applyStructuralTags(
      sheet(1800, 1000, `<rect width="1800" height="1000" fill="#ddd"/>${two}`),
      none,
    );
    expect(mockup.screens).toMatchObject([
      { name: 'harbour', width: 1280, height: 800, origin: { x: 40, y: 60 }, found: 'found' },
      { name: 'pocket', width: 390, height: 844, origin: { x: 1360, y: 60 } },
    ]);
    expect(layersOf(mockup).map(({ id }) => id)).toEqual([
      idAt('/harbour/rect'),
      idAt('/harbour/text'),
      idAt('/pocket/rect'),
    ]);
    expect(mockup.screens[0]!.root.transform).toEqual([1, 0, 0, 1, 0, 0]);
  });

  it('may be nested drawings, clipped groups, and lie in a wrapper with titles beside them', () => {
    const nested = `<svg id="one" x="20" y="40" width="360" height="640"><rect width="400" height="700"/></svg>`;
    const cut = `<clipPath id="c"><rect x="420" y="40" width="360" height="640"/></clipPath><g id="two" clip-path="url(#c)"><circle cx="500" cy="300" r="900"/></g>`;
    const mockup = sheet(800, 700, `<g id="all"><text x="20" y="30">One</text>${nested}${cut}</g>`);
    expect(
      applyStructuralTags(mockup, none).screens.map(({ name, width, height }) => [name, width, height]),
    ).toEqual([
      ['one', 360, 640],
      ['two', 360, 640],
    ]);
  });

  it('are not the cards, columns or overlapping parts of one page', () => {
    const card = (at: number) => page(`card${at}`, 40 + at * 320, 120, 296, 328);
    expect(namesOf(card(0) + card(1) + card(2))).toEqual(['test 1800×1000']);
    expect(
      namesOf(
        page('header', 0, 0, 1800, 80) + page('left', 0, 80, 900, 920) + page('right', 900, 80, 900, 920),
      ),
    ).toEqual(['test 1800×1000']);
    expect(namesOf(page('a', 0, 0, 1280, 800) + page('b', 100, 100, 1280, 800))).toEqual(['test 1800×1000']);
  });

  it('follow tags and names', () => {
    expect(namesOf(two, new Map([[idAt('/pocket'), { screen: false }]]))).toEqual(['harbour 1280×800']);
    expect(namesOf(page('card', 10, 10, 296, 328), new Map([[idAt('/card'), { screen: true }]]))).toEqual([
      'card 296×328',
    ]);
    expect(namesOf(page('card [data-screen]', 10, 10, 296, 328))).toEqual(['card 296×328']);
    const [candidate] = findScreens(sheet(1800, 1000, page('card', 10, 10, 296, 328)), none);
    expect(candidate).toMatchObject({ layer: idAt('/card'), isScreen: false, said: false });
  });

  it('become a page each', () => {
    const conversion = convertReading(
      readText(`<svg xmlns="http://www.w3.org/2000/svg" width="1800" height="1000">${two}</svg>`),
    );
    expect(conversion.emission.screens.map(({ name, file }) => [name, file])).toEqual([
      ['harbour', 'index.html'],
      ['pocket', 'pocket.html'],
    ]);
    expect(emitted(conversion, 'index.html')).toContain('Harbour');
    expect(emitted(conversion, 'pocket.html')).not.toContain('Harbour');
  });
});

describe('brackets in names', () => {
  it.each([
    ['button.primary', { role: 'button', classes: ['primary'] }],
    ['button.primary:active', { role: 'button', classes: ['primary'], state: 'active' }],
    ['.wide.calm', { classes: ['wide', 'calm'] }],
    ['img', { outcome: 'picture' }],
    ['-', { outcome: 'aside' }],
    ['style', { outcome: 'sample' }],
    ['data-slot=wind', { slot: 'wind' }],
    ['p data-slot="wind"', { role: 'paragraph', slot: 'wind' }],
    ['nav hidden', { role: 'navigation', hidden: true }],
    ['li', { role: 'item' }],
    ['a href=#tickets', { role: 'link', href: '#tickets' }],
    ['a href=javascript:alert(1)', { role: 'link' }],
    ['data-scroll=y data-note="can be code, confirm"', { scroll: 'y', note: 'can be code, confirm' }],
    ['data-scroll=up data-merge=crest', { merge: 'crest' }],
    ['wobble', {}],
    ['data-slot="no good"', {}],
  ])('[%s]', (brackets, tag) => expect(readBrackets(brackets)).toEqual(tag));

  it('stand at the end of a name, and are not part of it', () => {
    expect(splitName('Save pressed [button.primary]')).toEqual({
      bare: 'Save pressed',
      brackets: 'button.primary',
    });
    expect(splitName('List [3] of sailings')).toEqual({ bare: 'List [3] of sailings', brackets: null });
    const reading = readInside('<g id="x"><title>Menu [nav]</title><rect width="9" height="9"/></g>');
    expect(layersOf(reading.mockup)[0]!.id).toBe(idAt('/Menu'));
  });

  it('tag the layer, and lose against a person', () => {
    const reading = readInside(
      '<g id="x"><title>Menu [nav.calm hidden]</title><rect width="9" height="9"/></g><rect id="y" width="9" height="9" data-name="Guides [-]"/>',
    );
    const { decisions } = convertReading(reading);
    expect(decisions.get(idAt('/Menu'))).toMatchObject({
      role: 'navigation',
      roleReason: 'its name says so',
      classes: ['calm'],
      hidden: true,
      outputName: 'menu',
    });
    expect(decisions.get(idAt('/Guides'))).toMatchObject({ outcome: 'aside', origin: 'name' });
    const said = convertReading(
      reading,
      'nested',
      new Map([[idAt('/Guides'), { outcome: 'element' as const }]]),
    );
    expect(said.decisions.get(idAt('/Guides'))).toMatchObject({ outcome: 'element', origin: 'person' });
  });

  it('make a slot that is never baked into a picture', () => {
    const reading = readInside('<text id="w" y="20" data-slot="wind">5 Bft</text>');
    expect(emitted(convertReading(reading), 'index.html')).toContain('data-slot="wind"');
  });
});

describe('names', () => {
  it.each([
    'g12',
    'path-3',
    'Rectangle 4 copy',
    'Group',
    'SVGID_1_',
    'Layer 2',
    '8f14e45f',
    'Ellipse-12',
    '_x31_2',
    '12',
    'Vector',
    'Frame 7',
    'text12',
    'polygon',
  ])('%s says nothing', (name) => expect(isTelling(name)).toBe(false));
  it.each([
    'harbour',
    'Save',
    'star',
    'Group of sailings',
    'h1',
    'Frame',
    'row-3',
    'col-4',
    'Text about us',
    'Image',
  ])('%s says something', (name) => expect(isTelling(name)).toBe(true));
});

describe('regions of a bitmap', () => {
  const PNG =
    'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==';
  const reading = readInside(
    `<image id="photo" width="200" height="100" preserveAspectRatio="none" href="${PNG}"/>`,
  );
  const key = idAt('/photo');

  it('are layers over the bitmap that show their part', () => {
    const regions = [
      { name: 'Bow wave', x: 10, y: 20, width: 40, height: 30 },
      { name: 'Past the edge', x: 180, y: 90, width: 50, height: 50 },
      { name: 'Outside', x: 300, y: 0, width: 5, height: 5 },
    ];
    const layers = layersOf(applyStructuralTags(reading.mockup, new Map([[key, { regions }]])));
    expect(layers).toMatchObject([
      { path: '/photo' },
      { path: '/photo/Bow-wave', sourceName: 'Bow wave', frame: { x: 10, y: 20, width: 40, height: 30 } },
      { path: '/photo/Past-the-edge', frame: { x: 180, y: 90, width: 20, height: 10 } },
    ]);
  });

  it('become pictures of their own size', () => {
    const regions = [{ name: 'Bow wave', x: 10, y: 20, width: 40, height: 30 }];
    const { plan } = convertReading(reading, 'nested', new Map([[key, { regions }]]));
    expect(plan.placed.get(idAt('/photo/Bow-wave'))!.box).toEqual({ x: 10, y: 20, width: 40, height: 30 });
  });
});
