import fc from 'fast-check';
import svgpath from 'svgpath';
import { printPath } from '../../mockup/printPath';
import { absolutePath } from './pathData';

describe('path data', () => {
  it.each([
    // Source: the examples of SVG 2, §9.3.9 "The grammar for path data", and browsers' behaviour at errors (§9.5.4).
    ['M 100-200', 'M100 -200'],
    ['M 0.6.5', 'M0.6 0.5'],
    ['M 100 200 L 200 100 -100 -200', 'M100 200L200 100L-100 -200'],
    ['m 1 1 2 2 3 3z l1 1', 'M1 1L3 3L6 6ZL2 2'],
    ['M0 0a5 3 20 0150 9', 'M0 0A5 3 20 0 1 50 9'],
    ['M0 0L5,,5 L9 9', 'M0 0'],
    ['M0 0 L5 5 X9 9', 'M0 0L5 5'],
    ['M0 0 L5 5,', 'M0 0L5 5'],
    ['L5 5', ''],
    ['none', ''],
    ['', ''],
    ['M1e400 0L5 5', ''],
    ['M10 10h5v-5H1V2', 'M10 10H15V5H1V2'],
  ])('%s', (d, expected) => {
    expect(absolutePath(d)).toBe(expected);
  });

  it('reads all that svgpath reads', () => {
    // Source: svgpath, an independent parser.
    const number = fc.integer({ min: -900, max: 900 }).map((value) => String(value / 8));
    const command = (letter: string, count: number) =>
      fc
        .tuple(
          fc.boolean(),
          fc.array(number, { minLength: count, maxLength: count }),
          fc.constantFrom(' ', ',', ' , '),
        )
        .map(
          ([relative, numbers, between]) =>
            (relative ? letter.toLowerCase() : letter) + numbers.join(between),
        );
    const arc = fc.tuple(fc.nat(50), fc.nat(50), fc.nat(360), fc.nat(1), fc.nat(1), number, number);
    const segment = fc.oneof(
      ...[
        ['M', 2],
        ['L', 4],
        ['H', 1],
        ['V', 2],
        ['C', 6],
        ['S', 4],
        ['Q', 8],
        ['T', 2],
        ['Z', 0],
      ].map(([letter, count]) => command(letter as string, count as number)),
      arc.map((numbers) => `a${numbers.join(' ')}`),
    );
    fc.assert(
      fc.property(fc.array(segment, { maxLength: 12 }), (segments) => {
        const d = `M1 2${segments.join('')}`;
        expect(absolutePath(d)).toBe(printPath(svgpath(d).abs()));
      }),
    );
  });
});
