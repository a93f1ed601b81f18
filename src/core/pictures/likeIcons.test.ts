import { convertReading, readInside } from '../../../tests/support/mockups';
import { layersOf } from '../mockup/walk';
import type { Tag } from '../sort/tag';

const ICONS = ['M20 10h14v14h-14z', 'M18 13h20v9h-20z', 'M22 8h10v21h-10z'];
const entry = (path: string, at: number, more = '') =>
  `<g data-name="menu-entry"><g data-name="mark"><path transform="translate(0 ${at * 40})" d="${path}" fill="#246"/></g><text x="52" y="${at * 40 + 22}" font-size="14" font-family="Commissioner">Harbour ${at}</text>${more}</g>`;

function boxes(more: Tag = {}, beside = '') {
  const reading = readInside(
    `<g data-name="menu">${ICONS.map((path, at) => entry(path, at, beside)).join('')}</g>`,
  );
  const marks = layersOf(reading.mockup).flatMap(({ id, sourceName }) => (sourceName === 'mark' ? [id] : []));
  const tags = new Map(marks.map((id) => [id, { outcome: 'picture' as const, ...more }]));
  const of = (arrangement: 'flow' | 'nested') => {
    const { plan } = convertReading(reading, arrangement, tags);
    return marks.map((id) => plan.placed.get(id)!.box);
  };
  return { flow: of('flow'), nested: of('nested') };
}

describe('icons at one place of like things', () => {
  it('have one box in the flow, each in the middle of its own', () => {
    const { flow } = boxes();
    expect(flow.map(({ width, height }) => [width, height])).toEqual([
      [20, 21],
      [20, 21],
      [20, 21],
    ]);
    expect(flow.map(({ x }) => x)).toEqual([17, 18, 17]);
  });

  it('are cut to what they show where every px stays', () => {
    expect(boxes().nested.map(({ width, height }) => [width, height])).toEqual([
      [14, 14],
      [20, 9],
      [10, 21],
    ]);
  });

  it('have the box that a person said', () => {
    const { flow } = boxes({ pictureBox: '32x32' });
    expect(flow.map(({ width, height }) => [width, height])).toEqual(ICONS.map(() => [32, 32]));
  });
});
