import { bookOfStyles } from '../../convert';
import { SHEET } from '../../mockup/identity';
import type { Tag } from '../../sort/tag';
import { layerNamed, readInside } from '../../../../tests/support/mockups';

const card = (y: number, fill: string) =>
  `<rect data-name="card" y="${y}" width="80" height="20" rx="3" fill="${fill}" stroke="#234" opacity=".9"/>`;
const SAMPLES = `<g data-name="Looks [style]"><rect id="plate" x="500" width="9" height="9" fill="#00f"/>
  <g data-name=".fog"><rect id="plate" x="500" y="20" width="9" height="9" fill="#888"/></g></g>`;
const MOCKUP = `${SAMPLES}${card(0, '#fff')}${card(24, '#fff')}${card(48, '#fed')}
  <rect id="deck" data-tags=".plate" y="80" width="60" height="9"/>`;
const reading = readInside(MOCKUP);

function book(tags: Record<string, Tag> = {}, themes: readonly string[] = []) {
  const { mockup, assets } = reading;
  const options = { arrangement: 'nested', target: 'html', themes } as const;
  const made = bookOfStyles({
    mockup,
    assets,
    tags: new Map(Object.entries(tags)),
    options,
    outliner: null,
  });
  const named = (name: string) => made.classes.find((each) => each.name === name);
  return { ...made, named };
}

describe('the style book', () => {
  it('has every class with its rules, its users, and where its name comes from', () => {
    const { named } = book();
    expect(named('card')).toMatchObject({ origin: 'layers', users: [{}, {}] });
    expect(named('card')!.css).toContain('.card {');
    expect(named('card')!.users[0]).toMatchObject({ title: 'card', box: { width: 81 } });
    expect(named('plate')).toMatchObject({ origin: 'sample', users: [{}], namedBy: null });
  });

  it('shows of a look of the same thing what differs', () => {
    const { named, classes } = book();
    const other = classes.find(({ name }) => name.startsWith('card-'));
    expect(other!.css).toMatch(/^\.card-\w+ \{\n(?: {2}[\w-]+: [^;]+;\n){1,3}\}\n$/);
    expect(named('card')!.css.split('\n').length).toBeGreaterThan(other!.css.split('\n').length);
  });

  it('takes the names that a person gives to classes and values', () => {
    const first = layerNamed(reading, 'card').id;
    const { named, tokens } = book({
      [first]: { lookName: 'berth' },
      [SHEET.id]: { values: [{ kind: 'colour', value: '#fed', name: 'sand' }] },
    });
    expect(named('berth')).toMatchObject({ origin: 'person', users: [{}, {}], namedBy: first });
    expect(tokens.map(({ name }) => name)).toContain('sand');
  });

  it('says what themes cost, and what sharing saves', () => {
    const { themes, bytes } = book({}, ['fog']);
    expect(themes).toEqual([{ name: 'fog', bytes: expect.any(Number) }]);
    expect(themes[0]!.bytes).toBeGreaterThan(20);
    expect(bytes.sheet).toBeGreaterThan(200);
    expect(bytes.apart).toBeGreaterThan(0);
  });

  it('is that of HTML for a target without one, and says so', () => {
    const of = (target: 'html' | 'android') => {
      const { mockup, assets } = reading;
      const options = { arrangement: 'nested', target } as const;
      return bookOfStyles({ mockup, assets, tags: new Map(), options, outliner: null });
    };
    expect(of('android')).toEqual({ ...of('html'), standsFor: 'Android' });
    expect(of('html').standsFor).toBeUndefined();
  });

  it('has the classes of elements that stand otherwise, with those that wear them', () => {
    const { mockup, assets } = readInside(
      `<g id="quay">${[0, 24, 48].map((y) => card(y, '#fff')).join('')}<rect data-name="card" x="20" y="72" width="80" height="20" rx="3" fill="#fff" stroke="#234" opacity=".9"/></g>`,
    );
    const { classes } = bookOfStyles({
      mockup,
      assets,
      tags: new Map(),
      options: { arrangement: 'flow', target: 'html' },
      outliner: null,
    });
    const placed = classes.filter(({ origin }) => origin === 'place');
    expect(placed.length).toBeGreaterThan(0);
    for (const { name, selector, css, users } of placed) {
      expect(name).toMatch(/^card-/);
      expect(css.startsWith(`${selector} {`)).toBe(true);
      expect(users.length).toBeGreaterThan(0);
    }
  });
});
