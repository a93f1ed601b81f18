import { idAt } from '../../../../tests/support/ids';
import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { DEMO, readBytes, readDemo } from '../../../../tests/support/mockups';
import { createFontBook } from '../../../engine/fonts/fontBook';
import { layersOf } from '../../mockup/walk';
import type { Tag, Tags } from '../tag';
import { CONTENTS, OUTCOME_NAMES, ROLE_NAMES, SCROLLS, STATES, WIDTHS } from '../vocabulary';
import { namedTags } from './namedTags';
import { printBrackets } from './printBrackets';
import { readBrackets } from './readBrackets';
import { writeTags } from './writeTags';

const book = createFontBook();
const word = fc.stringMatching(/^[a-z][a-z0-9-]{0,8}$/);
const words = fc.stringMatching(/^[A-Za-zæø&<>']([\w æø&<>',.=-]{0,20}[\wæø])?$/);
const anyTag: fc.Arbitrary<Tag> = fc.record(
  {
    outcome: fc.constantFrom(...OUTCOME_NAMES),
    role: fc.constantFrom(...ROLE_NAMES),
    classes: fc.array(word, { minLength: 1, maxLength: 3 }),
    outputName: words,
    hidden: fc.boolean(),
    slot: word,
    href: word.map((name) => `#${name}`),
    scroll: fc.constantFrom(...SCROLLS),
    note: words,
    merge: words,
    state: fc.constantFrom(...STATES, 'none' as const),
    screen: fc.boolean(),
    contents: fc.constantFrom(...CONTENTS),
    gap: fc.integer({ min: 0, max: 1000 }),
    width: fc.constantFrom(...WIDTHS),
  },
  { requiredKeys: [] },
);

describe('tags between brackets', () => {
  it('parse back to what was printed', () => {
    fc.assert(
      fc.property(anyTag, (tag) => {
        fc.pre(Object.keys(tag).length > 0);
        expect(readBrackets(printBrackets(tag))).toEqual(tag);
      }),
    );
  });

  it('are read in their earlier spelling, and left out when their value is invalid', () => {
    expect(readBrackets('data-wide=fill')).toEqual({ width: 'rest' });
    expect(readBrackets('data-gap=1001 data-width=wide data-slot=a.b data-unknown=1')).toEqual({});
  });
});

describe('tags written into the SVG', () => {
  const SOURCE = `<?xml version="1.0" encoding="ISO-8859-1"?>\r\n<!-- sketch: 🚢 -->
<svg xmlns="http://www.w3.org/2000/svg" width="90" height="60"><g id="pier"><rect id="deck" width="40" height="9" data-tags="data-slot=old"
   /><text id="sign" y="30">Mind &amp; step</text></g></svg>`;
  const bytes = new TextEncoder().encode(SOURCE.replace('ISO-8859-1', 'UTF-8'));

  it('are read from the written file, which is otherwise unchanged', () => {
    const tags: Tags = new Map([
      [idAt('/pier/deck'), { outcome: 'picture', note: 'one "plank" & <more>' }],
      [idAt('/pier/sign'), { role: 'heading-2', classes: ['big'] }],
    ]);
    const written = writeTags(bytes, 'quay', book, tags);
    const reading = readBytes(new TextEncoder().encode(written), 'quay.svg');
    expect(namedTags(layersOf(reading.mockup))).toEqual(
      new Map([
        // The file already had the slot.
        [idAt('/pier/deck'), { outcome: 'picture', slot: 'old', note: "one 'plank' & <more>" }],
        [idAt('/pier/sign'), { role: 'heading-2', classes: ['big'] }],
      ]),
    );
    expect(written.replace(/ data-tags="[^"]*"/g, '')).toBe(
      new TextDecoder().decode(bytes).replace(/ data-tags="[^"]*"\n\s*/, ''),
    );
  });

  it('hold for every layer of the demo', () => {
    const keys = layersOf(readDemo().mockup).map(({ id }) => id);
    const tags: Tags = new Map(keys.map((key, at) => [key, { note: `layer ${at}` }]));
    const written = writeTags(readFileSync(DEMO), 'harbour', book, tags);
    const again = namedTags(layersOf(readBytes(new TextEncoder().encode(written), 'harbour.svg').mockup));
    expect(keys.map((key) => again.get(key)?.note)).toEqual(keys.map((_, at) => `layer ${at}`));
  });
});
