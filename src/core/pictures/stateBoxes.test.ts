import sharp from 'sharp';
import { idEnding } from '../../../tests/support/ids';
import { convertReading, readInside } from '../../../tests/support/mockups';
import type { Tag } from '../sort/tag';

/** A buoy, and the same one with a ring around it: hidden at its place, or shown somewhere else. */
function buoys(x: number, y: number, isHidden: boolean, more: ReadonlyMap<string, Tag> = new Map()) {
  const buoy = (dx: number, dy: number, ring: number) =>
    `<path d="M${40 + dx} ${30 + dy}l12 24h-24z" fill="#c33"/><circle cx="${40 + dx}" cy="${42 + dy}" r="${ring}" fill="none" stroke="#124" stroke-width="2"/>`;
  const reading = readInside(
    `<g data-name="Harbour button"><g data-name="buoy normal">${buoy(0, 0, 13)}</g>
     <g data-name="buoy hover"${isHidden ? ' display="none"' : ''}>${buoy(x, y, 20.5)}</g></g>`,
  );
  const idOf = (name: string) => idEnding(reading.mockup, `/${name.replace(' ', '-')}`);
  const tags = new Map<string, Tag>(
    ['buoy normal', 'buoy hover'].map((name) => {
      const state: Tag = name.endsWith('hover') ? { state: 'hover' } : {};
      return [idOf(name), { outcome: 'picture', ...state, ...more.get(name) }];
    }),
  );
  const { plan } = convertReading(reading, 'nested', tags);
  const boxOf = (name: string) => plan.placed.get(idOf(name))?.box;
  return { plan, rest: boxOf('buoy normal')!, hover: boxOf('buoy hover')! };
}

describe('the boxes of a picture and of its states', () => {
  it('are one where all lie at one place', () => {
    const { rest, hover } = buoys(0, 0, true);
    expect(rest).toEqual(hover);
    expect(rest).toEqual({ x: 18, y: 20, width: 44, height: 44 });
  });

  it('are of one size where a state was drawn elsewhere, each around its own', () => {
    const { rest, hover } = buoys(130, 60, false);
    expect(rest).toEqual({ x: 18, y: 20, width: 44, height: 44 });
    expect(hover).toEqual({ x: 148, y: 80, width: 44, height: 44 });
  });

  it('show the art of each at the same px of its file', async () => {
    const { plan } = buoys(130, 60, false);
    const reds = await Promise.all(
      plan.pictures.map(async ({ source }) => {
        const svg = source.kind === 'svg' ? source.svg : '';
        const { data, info } = await sharp(Buffer.from(svg)).raw().toBuffer({ resolveWithObject: true });
        const at = (x: number, y: number) => [...data.subarray((y * info.width + x) * 4).subarray(0, 3)];
        return [info.width, info.height, at(22, 24)];
      }),
    );
    expect(reds).toHaveLength(2);
    expect(reds[0]).toEqual([44, 44, [204, 51, 51]]);
    expect(reds[1]).toEqual(reds[0]);
  });

  it('are what a person said', () => {
    const said = new Map<string, Tag>([['buoy normal', { pictureBox: '30x30' }]]);
    const { rest, hover } = buoys(0, 0, true, said);
    expect([rest.width, rest.height]).toEqual([30, 30]);
    expect([hover.width, hover.height]).toEqual([44, 44]);
  });
});
