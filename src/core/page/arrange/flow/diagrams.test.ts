import { namesInPath } from '../../../mockup/identity';
import { convertReading, readInside } from '../../../../../tests/support/mockups';
import { walkNodes } from '../../walk';

/** The kind of place of each child of a group, by name. */
function placesIn(content: string): Readonly<Record<string, string>> {
  const { pages } = convertReading(readInside(`<g id="crossings">${content}</g>`), 'flow');
  const nodes = walkNodes(pages[0]!.children);
  return Object.fromEntries(nodes.map(({ path, place }) => [namesInPath(path).at(-1), place.kind]));
}

const dot = (at: number, x: number, y: number) =>
  `<rect id="dot${at}" x="${x}" y="${y}" width="4" height="4" rx="2" fill="#06c"/>`;
const port = (name: string, x: number, y: number) =>
  `<g id="${name}"><rect x="${x}" y="${y}" width="50" height="20" fill="#fff" stroke="#000"/>
    <text x="${x + 8}" y="${y + 14}" font-size="10" font-family="Commissioner">${name}</text></g>`;
const crossing = (name: string, d: string) => `<path id="${name}" d="${d}" fill="none" stroke="#000"/>`;

describe('plots', () => {
  const heights = [70, 52, 61, 33, 24, 9];

  it('keep their coordinates when points align with nothing', () => {
    const places = placesIn(heights.map((y, at) => dot(at, 10 + at * 31, y)).join(''));
    expect(heights.map((_, at) => places[`dot${at}`])).toEqual(heights.map(() => 'fixed'));
  });

  it('are none where parts form a row', () => {
    const places = placesIn(heights.map((_, at) => dot(at, 10 + at * 31, 40)).join(''));
    expect(heights.map((_, at) => places[`dot${at}`])).toEqual(heights.map(() => 'flow'));
  });
});

describe('networks', () => {
  const ports = port('sund', 10, 10) + port('holm', 130, 10) + port('lunn', 70, 70);
  const lines =
    crossing('east', 'M60 16C80 4 110 4 130 16') +
    crossing('south', 'M40 30C40 50 60 60 76 70') +
    crossing('back', 'M150 30C150 50 130 60 114 70');

  it('keep their coordinates, with the lines between their parts', () => {
    const { sund, holm, lunn } = placesIn(ports + lines);
    expect([sund, holm, lunn]).toEqual(['fixed', 'fixed', 'fixed']);
  });

  it('are none where lines separate the parts of a row, as in breadcrumbs', () => {
    const arrow = (name: string, x: number) => crossing(name, `M${x} 14L${x + 10} 20L${x} 26`);
    const path =
      port('sund', 10, 10) +
      arrow('east', 63) +
      port('holm', 76, 10) +
      arrow('west', 129) +
      port('lunn', 142, 10);
    const { sund, holm, lunn } = placesIn(path);
    expect([sund, holm, lunn]).toEqual(['flow', 'flow', 'flow']);
  });

  it('are none without lines', () => {
    expect(Object.values(placesIn(ports))).toContain('flow');
  });
});
