import { idEnding } from '../../../../tests/support/ids';
import { convertReading, readInside } from '../../../../tests/support/mockups';

const bar = (x: number, height: number, more = '') =>
  `<rect x="${x}" y="${60 - height}" width="6" height="${height}" fill="#246"${more}/>`;
const HEIGHTS = [12, 30, 8, 44, 21, 36, 15];

function verdictOn(content: string) {
  const reading = readInside(`<g data-name="tides">${content}</g>`);
  return convertReading(reading, 'flow').decisions.get(idEnding(reading.mockup, '/tides'))!;
}

describe('bars on one line', () => {
  it('are the picture of a chart', () => {
    const { outcome, reason } = verdictOn(HEIGHTS.map((height, at) => bar(10 + at * 9, height)).join(''));
    expect([outcome, reason]).toEqual(['picture', 'vector picture: 7 bars of a chart']);
  });

  it('may stand in groups, and around a line', () => {
    const mirrored = HEIGHTS.map(
      (height, at) =>
        `<g data-name="bar"><rect x="${10 + at * 9}" y="${60 - height / 2}" width="6" height="${height}" rx="2" fill="#246"/></g>`,
    );
    expect(verdictOn(mirrored.join('')).outcome).toBe('picture');
  });

  it.each([
    ['of one height', HEIGHTS.map((_, at) => bar(10 + at * 9, 20))],
    ['few', HEIGHTS.slice(0, 5).map((height, at) => bar(10 + at * 9, height))],
    ['out of step', HEIGHTS.map((height, at) => bar(10 + at * 9 + (at % 2) * 3, height))],
    [
      'with words',
      [...HEIGHTS.map((height, at) => bar(10 + at * 9, height)), '<text y="80" font-size="10">Sund</text>'],
    ],
  ])('are none when they are %s', (_, parts) => {
    expect(verdictOn(parts.join('')).outcome).toBe('element');
  });
});
