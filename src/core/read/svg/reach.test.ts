import sharp from 'sharp';
import { only, readInside } from '../../../../tests/support/mockups';
import { measureScreen } from '../../mockup/bounds';
import { bottom, right, type Box } from '../../mockup/box';

const SIZE = 'width="200" height="100"';

/** The box of the pixels that an outside rasteriser paints. Source: librsvg, through sharp. */
async function drawnBox(content: string): Promise<Box> {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" ${SIZE}>${content}</svg>`;
  const { data, info } = await sharp(Buffer.from(svg))
    .ensureAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const painted = Array.from({ length: info.width * info.height }, (_, at) => at).filter(
    (at) => data[at * 4 + 3]! > 2,
  );
  const [xs, ys] = [painted.map((at) => at % info.width), painted.map((at) => Math.floor(at / info.width))];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, width: Math.max(...xs) + 1 - x, height: Math.max(...ys) + 1 - y };
}

function measuredBox(content: string): Box {
  const reading = readInside(content);
  const measures = measureScreen(reading.mockup.screens[0]!, reading.mockup.faces);
  return measures.get(only(reading, 'shape').id)!.painted!;
}

const filtered = (primitives: string, attributes = '') =>
  `<filter id="f" ${attributes}>${primitives}</filter><rect x="60" y="30" width="40" height="20" filter="url(#f)"/>`;
const marked = (attributes: string, inside: string) =>
  `<marker id="m" ${attributes}>${inside}</marker><path d="M80 40L120 40" stroke="#000" stroke-width="2" marker-end="url(#m)"/>`;

const WIDE = 'x="-1" y="-1" width="4" height="4"';

describe('how far it is painted', () => {
  it.each([
    // What has no end fills the region.
    ['a flood', filtered('<feFlood/>', 'x="-.25" y="-.5" width="1.5" height="2"'), 0.1],
    [
      'a flood in a region of its own',
      filtered('<feFlood/>', 'filterUnits="userSpaceOnUse" x="10" y="10" width="70" height="30"'),
      0.1,
    ],
    ['an offset', filtered('<feOffset dx="50" dy="30"/>', WIDE), 0.1],
    [
      'an offset beside its source',
      filtered(
        '<feOffset dx="-30" dy="-20" result="o"/><feMerge><feMergeNode in="o"/><feMergeNode in="SourceGraphic"/></feMerge>',
        WIDE,
      ),
      0.1,
    ],
    [
      'an offset that its region cuts',
      filtered('<feOffset dx="50" dy="30"/>', 'x="0" y="0" width="1.5" height="2"'),
      0.1,
    ],
    ['a blur of two deviations', filtered('<feGaussianBlur stdDeviation="6 2"/>', WIDE), 6],
    ['a dilation', filtered('<feMorphology operator="dilate" radius="5 3"/><feOffset dx="1"/>', WIDE), 0.1],
    [
      'alpha from nothing',
      filtered('<feColorMatrix values="1 0 0 0 0 0 1 0 0 0 0 0 1 0 0 0 0 0 0 .5"/>', WIDE),
      0.1,
    ],
    [
      'a part of a composition',
      filtered(
        '<feFlood result="a"/><feOffset in="SourceGraphic" dx="20" result="b"/><feComposite in="b" in2="a" operator="in"/>',
        WIDE,
      ),
      0.1,
    ],
    // A marker reaches to the farthest corner of its viewport, whichever way the path turns it.
    [
      'a marker in stroke widths',
      marked('markerWidth="9" markerHeight="9"', '<rect width="40" height="40"/>'),
      26,
    ],
    [
      'a marker in px with a viewBox',
      marked(
        'markerUnits="userSpaceOnUse" markerWidth="20" markerHeight="20" viewBox="0 0 10 10" refX="5" refY="5"',
        '<rect width="10" height="10"/>',
      ),
      15,
    ],
  ])('%s', async (_, content, tolerance) => {
    const [drawn, measured] = [await drawnBox(content), measuredBox(content)];
    const beyond = [
      drawn.x - measured.x,
      drawn.y - measured.y,
      right(measured) - right(drawn),
      bottom(measured) - bottom(drawn),
    ];
    for (const edge of beyond) expect(edge).toBeGreaterThanOrEqual(-0.1);
    for (const edge of beyond) expect(edge).toBeLessThanOrEqual(tolerance);
  });

  it('by a tenth of its box on every side where a filter does not say (Filter Effects 1, §6)', () => {
    const { x, y, width, height } = measuredBox(filtered('<feFlood/>'));
    [x, y, width, height].forEach((side, at) => expect(side).toBeCloseTo([56, 28, 48, 24][at]!));
  });
});
