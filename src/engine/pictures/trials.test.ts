import { convertReading, readDemo } from '../../../tests/support/mockups';
import { LOOKS_SAME } from '../../core/pictures/trialFormats';
import { tryFormat } from './trials';

describe('trials of a picture', () => {
  const reading = readDemo();
  const { plan } = convertReading(reading);
  const photo = plan.pictures.find(({ source }) => source.kind === 'bitmap')!;
  const size = { width: 240, height: 160, scale: 0.5 };
  const tried = (format: Parameters<typeof tryFormat>[1], picture = photo) =>
    tryFormat(picture, format, size, reading.mockup, reading.assets);

  it.each(['jpeg', 'webp', 'avif'] as const)(
    'find the lowest quality of %s that looks the same',
    async (format) => {
      const { points, proposed, plain } = await tried(format);
      const chosen = points.find(({ quality }) => quality === proposed)!;
      expect(chosen.index).toBeGreaterThanOrEqual(LOOKS_SAME);
      expect(chosen.bytes).toBeLessThan(plain);
      // A step below, it does not look the same any more.
      const below = points.filter(({ quality }) => quality < chosen.quality).at(-1);
      if (below) expect(below.index).toBeLessThan(LOOKS_SAME);
    },
  );

  it('know of a palette whether it looks the same', async () => {
    const drawing = plan.pictures.find(({ source }) => source.kind === 'svg')!;
    const { points, proposed } = await tried('png8', drawing);
    expect(points).toHaveLength(1);
    expect(proposed).toBe(100);
  });
});
