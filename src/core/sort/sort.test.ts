import { idAt, idEnding } from '../../../tests/support/ids';
import fc from 'fast-check';
import { convertReading, readDemo, readInside, type readText } from '../../../tests/support/mockups';
import { applyChanges, reverse, type Change } from './change';
import type { Decision } from './decision';
import { safeName } from './outputNames';
import type { Tag } from './tag';
import { tagsFileSchema } from './tagSchema';

type Reading = ReturnType<typeof readText>;

function decided(reading: Reading, tags: Record<string, Tag> = {}): (name: string) => Decision {
  const { decisions, mockup } = convertReading(reading, 'nested', new Map(Object.entries(tags)));
  return (name) => decisions.get(idEnding(mockup, `/${name}`))!;
}

describe('the rules on the demo', () => {
  const of = decided(readDemo());

  // Written by hand from the mockup, before the rules were tried on it.
  it.each([
    ['page-ground', 'element', 'box'],
    ['hero', 'element', 'box'],
    ['harbour-photo', 'picture', 'picture'],
    ['hero/serif', 'element', 'heading-1'],
    ['hero/light', 'element', 'paragraph'],
    ['header', 'element', 'header'],
    ['ferry-mark', 'picture', 'picture'],
    ['main-navigation', 'element', 'navigation'],
    ['main-navigation/link', 'element', 'link'],
    ['book-button', 'element', 'button'],
    ['book-button:hover', 'aside', 'box'],
    ['icon-wind', 'picture', 'picture'],
    ['icon-sun', 'picture', 'picture'],
    ['sailings/serif', 'element', 'heading-2'],
    ['sailing-list', 'element', 'list'],
    ['day-ticket-card', 'element', 'article'],
    ['day-ticket-card/line', 'element', 'box'],
    ['footer', 'element', 'footer'],
    ['fog-notice', 'aside', 'box'],
  ])('%s becomes %s, role %s', (name, outcome, role) => {
    expect([of(name).outcome, of(name).outcome === 'aside' ? 'box' : of(name).role]).toEqual([outcome, role]);
  });

  it('gives the reason with the measured facts', () => {
    expect(of('harbour-photo').reason).toBe(
      'raster picture: a bitmap shown at 1320×300 px, drawn from 2640×600',
    );
    expect(of('icon-sea').reason).toMatch(/^vector picture: a free shape within \d+×\d+ px$/);
    expect(of('fog-notice').reason).toBe('aside: it is hidden in the mockup');
    expect(of('hero/serif').roleReason).toBe('44 px, where most text has 13');
    expect(of('weather-strip/rect').reason).toBe(
      'element: a rounded box with a flat fill, one shadow, CSS says this exactly',
    );
  });

  it('includes the content of a picture', () => {
    expect(of('ferry-mark/path')).toMatchObject({
      outcome: 'picture',
      within: idEnding(readDemo().mockup, '/ferry-mark'),
      reason: 'part of the picture around it',
    });
  });
});

describe('the rules', () => {
  it('puts aside layers that draw nothing or lie off the screen', () => {
    const of = decided(
      readInside(
        '<rect width="9" height="9"/><g id="empty"/><rect id="far" x="500" width="9" height="9"/><rect id="clear" width="9" height="9" opacity="0"/>',
      ),
    );
    expect([of('empty').reason, of('far').reason, of('clear').reason]).toEqual([
      'aside: it draws nothing',
      'aside: it lies wholly outside of the screen',
      'aside: it is hidden and lies on box; say which state of it',
    ]);
  });

  it('keeps large groups with few free-form shapes as elements', () => {
    const boxes = Array.from({ length: 9 }, (_, at) => `<rect x="${at * 20}" width="15" height="90"/>`).join(
      '',
    );
    expect(decided(readInside(`<g id="wide">${boxes}<path d="M0 0L9 9L4 1z"/></g>`))('wide').outcome).toBe(
      'element',
    );
  });

  it('never nests links and buttons', () => {
    const of = decided(
      readInside('<a href="#x" id="out"><g id="in-button"><rect width="9" height="9"/></g></a>'),
    );
    expect([of('out').role, of('in-button').role]).toEqual(['link', 'box']);
  });

  it('ignores words in a name that the groups around already have', () => {
    const parts =
      '<g id="ticket-foot"><rect width="9" height="9"/></g><g id="ticket-button-2"><rect width="9" height="9"/></g>';
    const of = decided(readInside(`<g id="ticket">${parts}</g>`));
    expect(['ticket', 'ticket-foot', 'ticket-button-2'].map((name) => of(name).role)).toEqual([
      'article',
      'box',
      'button',
    ]);
  });

  it('calls a form what has several words in it, and no single control', () => {
    const of = decided(
      readInside(
        `<g data-name="booking form">
           <text x="20" y="40" font-size="16">Name</text><text x="20" y="80" font-size="16">Book</text></g>
         <g data-name="form control"><rect x="20" y="120" width="200" height="36" fill="#eee"/>
           <text x="30" y="144" font-size="16">Search</text></g>`,
      ),
    );
    expect(of('booking-form').role).toBe('form');
    expect(of('form-control').role).not.toBe('form');
  });

  it('takes the role that the mockup gives', () => {
    expect(
      decided(readInside('<g id="a" role="banner"><rect width="9" height="9"/></g>'))('a'),
    ).toMatchObject({ role: 'header', roleReason: 'the mockup gives it the role banner' });
  });
});

describe('tags', () => {
  const reading = readInside(
    '<g id="g"><rect id="r" width="9" height="9"/></g><rect id="h" width="9" height="9" display="none"/>',
  );

  it('win over every rule', () => {
    const of = decided(reading, {
      [idAt('/g')]: { outcome: 'picture', outputName: 'Big Thing' },
      [idAt('/h')]: { hidden: true },
    });
    expect(of('g')).toMatchObject({
      outcome: 'picture',
      origin: 'person',
      reason: 'picture: set by you',
      outputName: 'big-thing',
    });
    expect(of('r')).toMatchObject({ outcome: 'picture', origin: 'within' });
  });

  it('are validated at the border', () => {
    expect(tagsFileSchema.validate({ a: { outcome: 'picture', classes: ['x-1'] } }).error).toBeUndefined();
    expect(tagsFileSchema.validate({ a: { outcome: 'painting' } }).error?.message).toMatch(/must be one of/);
    expect(tagsFileSchema.validate({ a: { classes: ['1x'] } }).error?.message).toMatch(/is no class name/);
    expect(tagsFileSchema.validate({ a: { colour: 'red' } }).error?.message).toMatch(/not allowed/);
  });
});

describe('names for files and classes', () => {
  it.each([
    ['Day ticket — card', 'day-ticket-card'],
    ['Übergröße Øst æble', 'ubergrosse-ost-aeble'],
    ['3 columns', 'n-3-columns'],
    ['  --x--  ', 'x'],
    // Pinyin and ISO 9 without marks, from memory.
    ['樱花', 'yinghua'],
    ['Паром', 'parom'],
  ])('%s is %s', (text, name) => {
    expect(safeName(text)).toBe(name);
  });

  it('are safe for any input', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) =>
        expect(safeName(text)).toMatch(/^([a-z][a-z0-9-]*)?$/),
      ),
    );
  });
});

describe('edits', () => {
  const change = fc.record({
    layer: fc.constantFrom('a', 'b', 'c'),
    facet: fc.constantFrom('role', 'outputName'),
    after: fc.option(fc.constantFrom('box', 'link')),
  });

  it('are undone by their reverse', () => {
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), (wishes) => {
        const start = new Map<string, Tag>([['a', { role: 'button', hidden: true }]]);
        let tags: ReadonlyMap<string, Tag> = start;
        const changes = wishes.map((wish): Change => {
          const facet = wish.facet as 'role' | 'outputName';
          const before = tags.get(wish.layer)?.[facet] ?? null;
          const made = { layer: wish.layer, facet, before, after: wish.after };
          tags = applyChanges(tags, [made]);
          return made;
        });
        expect(applyChanges(tags, reverse(changes))).toEqual(start);
      }),
    );
  });

  it('leave no empty tag behind', () => {
    expect(
      applyChanges(new Map([['a', { role: 'box' }]]), [{ layer: 'a', facet: 'role', after: null }]).size,
    ).toBe(0);
  });
});
