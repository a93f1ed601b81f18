import { execFile } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { promisify } from 'node:util';
import fc from 'fast-check';
import type { FindingCode } from '../src/core/findings/wording';
import type { RefusalCode } from '../src/core/read/readError';
import { casePath } from './support/mockups';
import type { HostileReading } from './support/readHostile';
import { HARM, readSafely } from './support/readSafely';

/** Files that want to do harm, or were harmed: each ends in a sentence or in a safe reading. Times: `npm run bench`. */
const A_SENTENCE = /^[A-Z].*\.$/s;

const REFUSED: Readonly<Record<string, RefusalCode>> = {
  'outside-entity.svg': 'broken-xml',
  'entity-bomb.svg': 'broken-xml',
  'entity-bomb-markup.svg': 'broken-xml',
  'entity-quadratic.svg': 'broken-xml',
  'entity-cycle.svg': 'broken-xml',
  'deep-groups.svg': 'too-deep',
  'deep-svgs.svg': 'too-deep',
  'deep-spans.svg': 'too-deep',
  'giant-size.svg': 'no-size',
  'no-size.svg': 'no-size',
  'elements.svg': 'too-many-layers',
  'utf16-bare.svg': 'broken-xml',
  'null-bytes.svg': 'broken-xml',
  'null-only.svg': 'unknown',
  'empty.svg': 'empty',
  'one-byte.svg': 'broken-xml',
  'controls.svg': 'broken-xml',
  'truncated.png': 'broken-bitmap',
  'truncated.svg': 'broken-xml',
  'text.svg': 'unknown',
  'html.svg': 'broken-xml',
  'truncated.webp': 'broken-bitmap',
  'header-only.png': 'broken-bitmap',
  'claims.png': 'too-many-pixels',
  'pixel-bomb.png': 'too-many-pixels',
  'zip-bomb.ora': 'unpacks-too-large',
  'zip-bomb-lies.ora': 'broken-archive',
  'stack-deep.ora': 'too-deep',
  'stack-entity.ora': 'broken-xml',
  'stack-giant.ora': 'no-size',
  'layer-no-picture.ora': 'nothing-drawn',
  'truncated.jpg': 'broken-bitmap',
  'truncated.ora': 'broken-archive',
  'zip-broken.ora': 'broken-archive',
  'no-stack.ora': 'entry-missing',
  'gzip-bomb.svgz': 'unpacks-too-large',
  'gzip-twice.svgz': 'broken-xml',
  'gzip-truncated.svgz': 'broken-xml',
  'gzip-tail.svgz': 'broken-archive',
};

/** What must be said about those that are read. */
const SAID: Readonly<Record<string, readonly FindingCode[]>> = {
  'scripts.svg': ['script-removed', 'handler-removed', 'animation-ignored'],
  'foreign.svg': ['foreign-content'],
  'outside-references.svg': ['outside-reference', 'reference-missing'],
  'cycle-use.svg': ['reference-cycle'],
  'cycle-symbol.svg': ['reference-cycle'],
  'deep-clips.svg': ['too-deep'],
  'deep-patterns.svg': ['too-deep'],
  'deep-uses.svg': ['too-deep'],
  'deep-media.svg': ['css-ignored'],
  'deep-parentheses.svg': ['css-ignored'],
  'deep-not.svg': ['css-ignored'],
  'billion-uses.svg': ['too-many-copies'],
  'billion-symbols.svg': ['too-many-copies'],
  'billion-patterns.svg': ['too-many-copies'],
  'billion-masks.svg': ['too-many-copies'],
  'billion-clips.svg': ['too-many-copies'],
  'billion-markers.svg': ['too-many-copies'],
  'image-bomb.svg': ['too-many-copies'],
  'images-nested.svg': ['too-deep'],
  'rules.svg': ['css-too-much'],
  'font-broken.svg': ['font-broken'],
  'odd-numbers.svg': ['value-ignored'],
  'zip-slip.ora': ['bitmap-broken'],
};

it('each hostile file ends in a sentence or a safe reading', async () => {
  const program = [require.resolve('tsx/cli'), 'tests/support/readHostile.ts'];
  const { stdout } = await promisify(execFile)(process.execPath, program, { maxBuffer: 2 ** 26 });
  const readings = stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as HostileReading);
  expect(readings.length).toBeGreaterThan(100);
  const refused = readings.filter((reading) => reading.refused !== null);
  const silent = readings.flatMap(({ name, codes }) => {
    const missing = (SAID[name] ?? []).filter((code) => !codes.includes(code));
    return missing.length > 0 ? [`${name}: ${missing.join(' ')}`] : [];
  });
  expect(readings.filter(({ harmful }) => harmful)).toEqual([]);
  expect(silent).toEqual([]);
  expect(Object.fromEntries(refused.map(({ name, refused: code }) => [name, code]))).toEqual(REFUSED);
  for (const { sentence } of refused) expect(sentence).toMatch(A_SENTENCE);
}, 600_000);

describe('whatever the bytes', () => {
  const check = (name: string) => async (bytes: Uint8Array) => {
    const { written, refused, sentence } = await readSafely(bytes, name);
    if (refused) expect(sentence).toMatch(A_SENTENCE);
    expect(written).not.toMatch(HARM);
  };

  it('random ones are refused or read', async () => {
    const starts = [
      '',
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9">',
      'PK\x03\x04',
      '\x1f\x8b\x08',
      '\x89PNG\r\n\x1a\n',
    ];
    const bytes = fc
      .tuple(fc.constantFrom(...starts), fc.uint8Array({ maxLength: 300 }))
      .map(([start, rest]) => Buffer.concat([Buffer.from(start, 'latin1'), rest]));
    await fc.assert(fc.asyncProperty(bytes, check('random.svg')), { numRuns: 300 });
  });

  it.each(['w3c-styling-css-04-f.svg', 'oc-dartboard-use.svg', 'mobile-dashboard.ora'])(
    'a mutated %s is refused or read',
    async (name) => {
      const original = readFileSync(casePath(name));
      const edit = fc.record({
        at: fc.nat(original.length - 1),
        take: fc.oneof(fc.constant(0), fc.nat(40), fc.nat(3000)),
        put: fc.oneof(
          fc.uint8Array({ maxLength: 8 }).map((bytes) => Buffer.from(bytes)),
          fc
            .constantFrom('<g>', '</g>', '"', '&', 'NaN', '1e999', '-', 'url(#a)', '<use href="#a"/>')
            .map((text) => Buffer.from(text)),
        ),
      });
      const mutated = fc.array(edit, { minLength: 1, maxLength: 4 }).map((edits) =>
        edits.reduce((bytes, { at, take, put }) => {
          const from = Math.min(at, bytes.length);
          return Buffer.concat([bytes.subarray(0, from), put, bytes.subarray(from + take)]);
        }, original),
      );
      await fc.assert(fc.asyncProperty(mutated, check(name)), { numRuns: 25 });
    },
    180_000,
  );

  it('attributes of any value are read', async () => {
    const value = fc.oneof(
      fc.constantFrom(
        'NaN',
        '1e400',
        '-1',
        '0',
        '50%',
        'calc(1px)',
        'var(--x)',
        'url(#a)',
        'inherit',
        'none',
        '#',
        '1e-9',
        '1,2,,3',
        'rotate(9',
        'M',
        '‮',
      ),
      fc.string({ maxLength: 12 }),
      fc.double().map(String),
    );
    const names = [
      'x',
      'y',
      'width',
      'height',
      'd',
      'points',
      'transform',
      'viewBox',
      'fill',
      'stroke',
      'stroke-width',
      'stroke-dasharray',
      'font-size',
      'opacity',
      'clip-path',
      'mask',
      'filter',
      'style',
      'class',
      'id',
      'href',
      'r',
      'rx',
      'dx',
      'rotate',
      'textLength',
      'offset',
      'stdDeviation',
      'in',
      'preserveAspectRatio',
    ];
    const escape = (text: string) =>
      text.replace(/[<&"]/g, (letter) => `&#${letter.charCodeAt(0)};`).replace(/[^\t\n\r -퟿]/g, '');
    const attributes = fc.dictionary(fc.constantFrom(...names), value, { maxKeys: 6 }).map((entries) =>
      Object.entries(entries)
        .map(([name, text]) => ` ${name}="${escape(text)}"`)
        .join(''),
    );
    const element = fc.tuple(
      fc.constantFrom(
        'rect',
        'path',
        'circle',
        'text',
        'g',
        'use',
        'svg',
        'image',
        'polygon',
        'line',
        'linearGradient',
        'filter',
        'clipPath',
        'mask',
        'pattern',
        'tspan',
        'textPath',
        'symbol',
        'feOffset',
        'stop',
      ),
      attributes,
    );
    const tree = fc
      .array(element, { maxLength: 12 })
      .map((elements) =>
        elements.reduceRight(
          (inside, [name, text], at) =>
            at % 3 === 0 ? `<${name}${text}>a</${name}>${inside}` : `<${name}${text}>${inside}</${name}>`,
          '',
        ),
      );
    const svg = tree.map((inside) =>
      Buffer.from(
        `<svg xmlns="http://www.w3.org/2000/svg" width="90" height="90"><rect id="a" width="9" height="9"/>${inside}</svg>`,
      ),
    );
    await fc.assert(fc.asyncProperty(svg, check('values.svg')), { numRuns: 400 });
  }, 120_000);
});
