import { idAt } from '../../../tests/support/ids';
import { convertReading, readInside } from '../../../tests/support/mockups';
import type { Tag } from '../sort/tag';

const GULL = `<g data-name="perch"><rect x="10" y="10" width="80" height="60" fill="#f4f0e6"/>
  <g data-name="gull"><rect x="30" y="20" width="40" height="40" fill="#dde"/>
    <path d="M34.2 24L60.7 30L40 52Z" fill="#246" stroke="#000" stroke-width="4"/></g>
  <rect data-name="rope" x="48" y="10" width="4" height="60" fill="#a52"/></g>`;

function pictureWith(tag: Tag) {
  const { plan } = convertReading(
    readInside(GULL),
    'nested',
    new Map([[idAt('/perch/gull'), { outcome: 'picture' as const, ...tag }]]),
  );
  const [picture] = plan.pictures;
  return { picture: picture!, box: plan.placed.get(idAt('/perch/gull'))?.box };
}

function svgWith(tag: Tag): string {
  const { source } = pictureWith(tag).picture;
  return source.kind === 'svg' ? source.svg : '';
}

describe('the box of a picture', () => {
  it.each([
    ['shape', { x: 30, y: 20, width: 40, height: 40 }],
    ['group', { x: 10, y: 10, width: 80, height: 60 }],
    ['24x20', { x: 38, y: 30, width: 24, height: 20 }],
    ['64x64', { x: 18, y: 8, width: 64, height: 64 }],
  ])('is %s', (pictureBox, box) => {
    expect(pictureWith({ pictureBox }).box).toEqual(box);
  });

  it('that is seen has whole px around the art, with its stroke', () => {
    const { x, y, width, height } = pictureWith({ pictureBox: 'seen', pictureGround: 'none' }).box!;
    expect([x, y, width, height].every(Number.isInteger)).toBe(true);
    expect(x).toBeLessThanOrEqual(32);
    expect(x + width).toBeGreaterThanOrEqual(63);
  });
});

describe('the contents of a picture', () => {
  it('lose the shape that they stand on, or get a colour beneath', () => {
    expect(svgWith({})).toContain('#dde');
    expect(svgWith({ pictureGround: 'none' })).not.toContain('#dde');
    expect(svgWith({ pictureGround: '#ffeedd' })).toMatch(
      /^<svg[^>]*><rect width="100%" height="100%" fill="#ffeedd"\/>/,
    );
  });

  it('are its own layers, and those under or over it', () => {
    const parts = (tag: Tag) => ['#f4f0e6', '#246', '#a52'].map((colour) => svgWith(tag).includes(colour));
    expect(parts({})).toEqual([false, true, false]);
    expect(parts({ pictureContents: 'under' })).toEqual([true, true, false]);
    expect(parts({ pictureContents: 'over' })).toEqual([false, true, true]);
    expect(parts({ pictureContents: 'all' })).toEqual([true, true, true]);
  });
});
