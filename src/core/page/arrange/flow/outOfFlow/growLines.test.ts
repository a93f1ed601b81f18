import { convertReading, readInside } from '../../../../../../tests/support/mockups';
import { walkNodes } from '../../../walk';
import type { TextNode } from '../../../node';

/** Words at a point of a drawing; 10 px of Commissioner, about 5 px a letter. */
const label = (x: number, y: number, text: string, more = '') =>
  `<text x="${x}" y="${y}" font-size="10" font-family="Commissioner" ${more}>${text}</text>`;

/** A network whose parts keep their coordinates, with more of them at its right. */
function drawn(more: string): (text: string) => TextNode {
  const ports = [0, 1, 2].map(
    (at) =>
      `<g><rect x="4" y="${4 + at * 32}" width="50" height="16" fill="#fff"/>${label(8, 16 + at * 32, 'Port')}</g>`,
  );
  const lines = [20, 52].map(
    (y) => `<path d="M20 ${y}C28 ${y + 4} 28 ${y + 12} 20 ${y + 16}" fill="none" stroke="#000"/>`,
  );
  const { pages } = convertReading(
    readInside(`<g id="crossings">${ports.join('')}${lines.join('')}${more}</g>`),
    'flow',
  );
  const texts = walkNodes(pages[0]!.children).filter((node) => node.kind === 'text');
  return (text) => texts.find((node) => node.lines[0]!.spans[0]!.text === text)!;
}

const bar = (x: number, y: number, width: number, height: number) =>
  `<rect x="${x}" y="${y}" width="${width}" height="${height}" fill="#c33"/>`;

describe('out-of-flow lines', () => {
  it('grow in one line where there is room', () => {
    expect(drawn(label(100, 50, 'Ferry'))('Ferry')).toMatchObject({
      wraps: 'never',
      place: { kind: 'fixed', pins: { widthMode: 'fit' } },
    });
  });

  it('wrap where a longer line would run over a neighbour, and stand as drawn until then', () => {
    const line = drawn(label(100, 30, 'Ferry') + bar(128, 10, 10, 60))('Ferry');
    expect(line.wraps).toBeUndefined();
    expect(line.place).toMatchObject({ kind: 'fixed', pins: { widthMode: 'max' } });
    // The letters with a tolerance for measuring, and no more than up to the bar.
    expect(line.place.width).toBeGreaterThan(24);
    expect(line.place.x + line.place.width).toBeLessThanOrEqual(129);
  });

  it('grow to both sides of their anchor', () => {
    const line = drawn(label(140, 50, 'Pier', 'text-anchor="middle"'))('Pier');
    expect(line).toMatchObject({ anchor: 'middle', look: { type: { align: 'middle' } } });
    expect(line.place).toMatchObject({ pins: { x: 'start', widthMode: 'drawn' } });
  });

  it('grow to the left where only that side has room, and there is none below', () => {
    const line = drawn(
      label(140, 50, 'Quay') + bar(165, 40, 30, 14) + bar(138, 54, 24, 20) + bar(138, 24, 24, 16),
    )('Quay');
    expect(line).toMatchObject({ wraps: 'never', look: { type: { align: 'end' } } });
  });

  it('wrap upwards at the lower edge of the screen', () => {
    const line = drawn(label(100, 97, 'Mole') + bar(124, 84, 30, 14) + bar(70, 84, 28, 14))('Mole');
    expect(line.layout).toMatchObject({ direction: 'row', align: 'end' });
    expect(line.place).toMatchObject({ pins: { y: 'start', heightMode: 'drawn', widthMode: 'drawn' } });
  });

  it('stay inside the box that they lie on', () => {
    const button = `<rect x="100" y="20" width="40" height="30" fill="#fff" stroke="#000"/>`;
    const { place } = drawn(button + label(120, 38, 'Sound', 'text-anchor="middle"'))('Sound');
    // The group begins at 4; edges lie on whole px.
    expect(4 + place.x).toBeGreaterThanOrEqual(99);
    expect(4 + place.x + place.width).toBeLessThanOrEqual(141);
    expect(4 + place.y).toBeGreaterThanOrEqual(20);
    expect(4 + place.y + place.height).toBeLessThanOrEqual(50);
  });

  it('reserve room for the growth of their neighbours', () => {
    const middle = 'text-anchor="middle"';
    const near = drawn(label(120, 50, 'Wave', middle) + label(152, 50, 'Tide', middle));
    expect(near('Wave').wraps).toBeUndefined();
    expect(near('Tide').place).toMatchObject({ pins: { x: 'start', widthMode: 'fit' } });
    const apart = drawn(label(110, 50, 'Wave', middle) + label(165, 50, 'Tide', middle));
    for (const text of ['Wave', 'Tide'])
      expect(apart(text)).toMatchObject({ wraps: 'never', look: { type: { align: 'middle' } } });
  });
});
