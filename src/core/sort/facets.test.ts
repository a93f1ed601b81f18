import { idAt } from '../../../tests/support/ids';
import { convertReading, emitted, readInside, readText } from '../../../tests/support/mockups';
import type { Tag } from './tag';

const CREST = `
  <g id="crest">
    <circle id="disc" cx="30" cy="30" r="20" fill="#246"/>
    <rect id="band" x="35" y="0" width="20" height="60" fill="#d93"/>
    <path id="wave" d="M40 30q5-8 10 0t10 0v8h-20z" fill="#fff"/>
  </g>
  <rect id="sea" x="80" width="60" height="20" fill="#8bd"/>`;

function converted(content: string, tags: Record<string, Tag> = {}) {
  const conversion = convertReading(readInside(content), 'nested', new Map(Object.entries(tags)));
  return { ...conversion, html: emitted(conversion, 'index.html') };
}

describe('several layers as one picture', () => {
  const merge: Tag = { merge: 'crest' };
  const tags = { [idAt('/crest/disc')]: merge, [idAt('/crest/wave')]: merge };

  it('stand at the place of the topmost, and the others become part of it', () => {
    const { plan, decisions, html } = converted(CREST, tags);
    expect(plan.pictures.map(({ name, layers }) => [name, layers])).toEqual([
      ['crest', [idAt('/crest/wave')]],
    ]);
    expect(plan.placed.get(idAt('/crest/wave'))?.box).toEqual({ x: 10, y: 10, width: 50, height: 40 });
    expect(decisions.get(idAt('/crest/disc'))?.within).toBe(idAt('/crest/wave'));
    expect(decisions.get(idAt('/crest/wave'))?.reason).toBe('picture: 2 layers of the one picture crest');
    expect(html.match(/<img/g)).toHaveLength(1);
    const [source] = plan.pictures.map((picture) => picture.source);
    expect(source?.kind === 'svg' && source.svg.match(/<(circle|ellipse|path|rect)/g)).toHaveLength(2);
  });

  it('report the layers that lie between them', () => {
    expect(converted(CREST, tags).findings).toContainEqual(
      expect.objectContaining({
        code: 'merge-overlap',
        layer: idAt('/crest/wave'),
        data: { name: 'crest', what: 'band', count: 1 },
      }),
    );
    const beside = { [idAt('/crest/wave')]: merge, [idAt('/sea')]: merge };
    expect(converted(CREST, beside).findings.map(({ code }) => code)).not.toContain('merge-overlap');
  });

  it('are merged in all that are built alike', () => {
    const row = (name: string, y: number, label: string) =>
      `<g id="${name}" transform="translate(0 ${y})"><text id="label" x="60" y="14" font-size="12">${label}</text><rect id="plate" width="90" height="18" rx="3" fill="#246"/><path id="tick" d="M4 6l4 6 9-7-2 9z" fill="#fff"/></g>`;
    const rows = `<g id="rows">${row('one', 0, 'Sund')}${row('two', 30, 'Holm')}${row('three', 60, 'Skerry')}</g>`;
    const { decisions } = converted(rows, {
      [idAt('/rows/two/plate')]: { merge: 'stamp' },
      [idAt('/rows/two/tick')]: { merge: 'stamp' },
    });
    for (const name of ['one', 'two', 'three']) {
      expect(decisions.get(idAt(`/rows/${name}/plate`))?.within).toBe(idAt(`/rows/${name}/tick`));
    }
  });

  it('need another layer: a merge name of a single layer merges nothing', () => {
    const { plan } = converted(CREST, { [idAt('/sea')]: merge });
    expect(plan.placed.has(idAt('/sea'))).toBe(false);
  });

  it('are separate again when the tag is removed', () => {
    const { plan } = converted(CREST, { [idAt('/crest')]: { outcome: 'element' } });
    expect(plan.pictures.map(({ name }) => name)).not.toContain('crest');
  });
});

describe('links, scroll areas and notes', () => {
  const LIST = `<g id="list"><rect width="90" height="80" fill="#eee"/><text id="fare" y="20">Fare</text></g>`;

  it('are written into the page', () => {
    const { html } = converted(LIST, {
      [idAt('/list')]: { scroll: 'y', note: 'can be code -- confirm' },
      [idAt('/list/fare')]: { href: '#tickets' },
    });
    expect(html).toContain('<!-- can be code – confirm -->');
    expect(html).toContain('overflow: hidden auto');
    expect(html).toMatch(/<a [^>]*href="#tickets"[^>]*>Fare<\/a>/);
  });

  it('come from brackets in names too', () => {
    const { html } = converted(
      `<g id="x" data-name='List [data-scroll=both data-note="long"]'><rect width="90" height="80"/><text y="20">Fare</text></g>`,
    );
    expect(html).toContain('<!-- long -->');
    expect(html).toContain('overflow: auto');
  });
});

describe('states set by a person', () => {
  const SWITCH = `
    <g id="lamp"><rect id="dim" width="40" height="20" fill="#ccc"/></g>
    <g id="glow"><rect id="lit" width="40" height="20" fill="#fd6"/></g>
    <rect id="far" y="60" width="90" height="9" fill="#333"/>`;

  it('show the sibling at the same place', () => {
    const { decisions } = converted(SWITCH, { [idAt('/glow')]: { state: 'checked' } });
    expect(decisions.get(idAt('/glow'))).toMatchObject({
      outcome: 'aside',
      state: { base: idAt('/lamp'), state: 'checked' },
    });
  });

  it('are elements of their own when set to none', () => {
    const named = SWITCH.replace('id="glow"', 'id="lamp-on" display="none"');
    expect(converted(named).decisions.get(idAt('/lamp-on'))?.state?.state).toBe('checked');
    expect(
      converted(named, { [idAt('/lamp-on')]: { state: 'none' } }).decisions.get(idAt('/lamp-on')),
    ).toMatchObject({ state: null });
  });
});

it('fields hold an input that shows their words', () => {
  const { decisions, html } = converted(`
    <g id="from"><rect x="10" y="10" width="180" height="36" rx="4" fill="#fff" stroke="#ccc"/>
    <text data-note="ask the office" x="22" y="32" font-size="14" fill="#888">Which harbour?</text></g>`);
  expect(decisions.get(idAt('/from'))).toMatchObject({ role: 'field' });
  expect(html).toMatch(/<label [^>]*>\s*<!-- ask the office -->\s*<input [^>]*placeholder="Which harbour\?"/);
});

it('a button inside a field is not part of its input', () => {
  const { html } = converted(`
    <g id="fare-field"><rect x="10" y="10" width="180" height="36" rx="4" fill="#fff" stroke="#ccc"/>
    <text x="22" y="32" font-size="14" fill="#888">Your fare</text>
    <g id="clear-button"><text x="150" y="32" font-size="14" fill="#234">Clear</text></g></g>`);
  expect(html).toMatch(/<input [^>]*placeholder="Your fare"/);
  expect(html).not.toMatch(/placeholder="Clear"|<input[^>]*type="button"/);
});

it('pictures keep the folders in their names, classes do not', () => {
  const { plan, html } = converted(`
    <path data-name="signs/Buoy light" d="M0 0q9 9 20 0v20z"/>
    <rect data-name="boxes/Sea" x="80" width="60" height="20" fill="#8bd"/>`);
  expect(plan.pictures[0]?.files[0]?.path).toBe('pictures/signs/buoy-light.svg');
  expect(html).toContain('class="boxes-sea"');
});

describe('furniture', () => {
  const header = (x: number) => `
    <g data-name="top" transform="translate(${x})"><rect width="400" height="40" fill="#135"/><circle cx="20" cy="20" r="9" fill="#fff"/>
    <text x="50" y="25" fill="#fff">Ternholm</text><text x="320" y="25" fill="#fff">Fares</text></g>`;
  const screen = (name: string, x: number, rest: string) =>
    `<g id="${name}" data-screen="true">${`<rect x="${x}" width="400" height="300" fill="#fff"/>`}${header(x)}${rest}</g>`;
  const sheet = (one: string, other: string) =>
    readText(
      `<svg xmlns="http://www.w3.org/2000/svg" width="900" height="300">${screen('quay', 0, one)}${screen('deck', 450, other)}</svg>`,
    );

  it('is the same block at the same place on several screens; a tag on one holds for all', () => {
    const reading = sheet('<text y="200">One</text>', '<text x="460" y="200">Other</text>');
    const tags = new Map<string, Tag>([[idAt('/quay/top'), { classes: ['bar'] }]]);
    const conversion = convertReading(reading, 'nested', tags);
    const { decisions } = conversion;
    for (const { path } of conversion.emission.files.filter((file) => file.path.endsWith('.html')))
      expect(emitted(conversion, path)).toContain('<!-- Furniture: on 2 screens. -->');
    expect(decisions.get(idAt('/deck/top'))).toMatchObject({
      classes: ['bar'],
      furniture: { pattern: idAt('/quay/top'), index: 1, count: 2 },
    });
  });

  it('at the edge of its screens is header or footer even when it spans less', () => {
    const strip = (x: number) =>
      `<g data-name="strip"><rect x="${x}" y="270" width="260" height="24" fill="#135"/><circle cx="${x + 20}" cy="282" r="9" fill="#fff"/>
      <text x="${x + 50}" y="285" fill="#fff">Piers</text><text x="${x + 200}" y="285" fill="#fff">Fares</text></g><g><text x="${x}" y="150">Sund</text></g>`;
    const shared = convertReading(sheet(strip(0), strip(450))).decisions.get(idAt('/deck/strip'));
    expect(shared).toMatchObject({
      role: 'footer',
      roleReason: 'it spans the bottom of the screen, on 2 screens',
    });
    const alone = convertReading(sheet(strip(0), '<g><text x="460" y="150">Sund</text></g>'));
    expect(alone.decisions.get(idAt('/quay/strip'))?.role).not.toBe('footer');
  });
});

describe('hidden layers', () => {
  const lamp = `
    <g id="lamp">
      <circle id="dark" cx="30" cy="30" r="20" fill="#246"/>
      <circle id="bright" cx="30" cy="30" r="20" fill="#fd3" display="none"/>
      <rect id="board" x="80" width="60" height="20" fill="#8bd" display="none"/>
    </g>`;

  it('over a sibling are reported as a possible state of it, and joined on request', () => {
    const { decisions } = converted(lamp);
    expect(decisions.get(idAt('/lamp/bright'))?.reason).toBe(
      'aside: it is hidden and lies on dark; say which state of it',
    );
    expect(decisions.get(idAt('/lamp/board'))?.reason).toBe('aside: it is hidden in the mockup');
    const joined = converted(lamp, { [idAt('/lamp/bright')]: { state: 'checked' } });
    expect(joined.decisions.get(idAt('/lamp/bright'))?.state).toEqual({
      base: idAt('/lamp/dark'),
      state: 'checked',
    });
  });

  it('named as a state without a base are a finding', () => {
    const { findings } = converted(lamp, { [idAt('/lamp/board')]: { state: 'hover' } });
    expect(findings).toContainEqual({
      code: 'state-alone',
      layer: idAt('/lamp/board'),
      data: { state: 'hover' },
    });
  });
});
