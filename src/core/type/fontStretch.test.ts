import { only, readInside } from '../../../tests/support/mockups';
import { fontStretch } from './fontStretch';

const WORDS = 'Ferries at noon';
const line = (attributes: string, words = WORDS) =>
  only(
    readInside(
      `<text font-size="40" font-family="Commissioner"><tspan ${attributes}>${words}</tspan></text>`,
    ),
    'text',
  ).lines[0]!;
const WIDTH = line('').width;
const set = (width: number) => `textLength="${width}" lengthAdjust="spacingAndGlyphs" xml:space="preserve"`;

describe('the stretch that tells of another font', () => {
  it('is none where a width without the white space at the end was given to a text that holds it', () => {
    const squeezed = line(set(WIDTH), `${WORDS} `);
    expect(squeezed.stretch).toBeLessThan(0.98);
    expect(fontStretch(squeezed)).toBe(1);
  });

  it('is that of the line where its letters are wider or narrower', () => {
    expect(fontStretch(line(set(WIDTH * 0.9)))).toBeCloseTo(0.9);
    expect(fontStretch(line(set(WIDTH * 1.004)))).toBe(1);
  });
});
