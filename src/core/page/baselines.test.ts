import { evenBaselines, evenSpacing, shiftToRows } from './baselines';

describe('the line height of even lines', () => {
  // Browsers draw baselines at whole px: 1.5 × 15 px and 1.65 × 13 px, rounded by hand.
  it.each([
    [15, [250, 273, 295, 318, 340, 363], 22.5],
    [15, [571, 593, 616, 638], 22.5],
    [13, [100, 121, 143, 164], 21.45],
    [18.62, [563, 590, 616, 643], 26.75],
    [16, [0, 24, 48], 24],
    [10, [0, 12.3, 24.6], 12.3],
  ])('of letters of %d px with baselines at %j is %d px', (size, baselines, height) => {
    expect(evenSpacing(baselines, size)).toBeCloseTo(height, 6);
  });

  it.each([
    ['whose steps differ by more than rounding', [0, 20, 45]],
    ['that differ and stand between px', [0.2, 20.5, 42.1]],
    ['that go back up', [0, 20, 10]],
    ['of which there is one', [0]],
  ])('is none of lines %s', (_, baselines) => {
    expect(evenSpacing(baselines, 14)).toBeNull();
  });
});

describe('lines known only by their rows of px', () => {
  const drawn = [571, 593, 616, 638];
  const set = evenBaselines(571, 22.5, 4);

  it('are shifted so that all lie well inside their rows', () => {
    const { phase, baselineOffset } = shiftToRows(set, drawn);
    expect(set.map((y) => Math.round(y + phase))).toEqual(drawn);
    expect(set.map((y) => Math.round(y + phase + baselineOffset))).toEqual(drawn);
    expect([0.2, -0.1].map((drift) => set.map((y) => Math.round(y + phase + drift)))).toEqual([drawn, drawn]);
  });

  it('stay where they are when they lie in their rows, or when their places are exact', () => {
    expect(shiftToRows(evenBaselines(10, 24, 3), [10, 34, 58]).phase).toBe(0);
    expect(shiftToRows([10.2, 32.7], [10.2, 32.7]).phase).toBe(0);
  });

  it('are shifted off a half px, to the row in which they were drawn', () => {
    expect(shiftToRows([10.5, 29.5], [10.5, 29.5]).phase).toBeCloseTo(0.1);
    expect(shiftToRows([10.49, 29.49], [10.49, 29.49]).phase).toBeCloseTo(-0.09);
    expect(shiftToRows([10.5, 29.5], [10.5, 29.5]).baselineOffset).toBeCloseTo(0.4);
    expect(shiftToRows([10.5], [10.5]).phase).toBe(0);
  });

  it('go to whole px as far as every line stays in its row', () => {
    expect(shiftToRows([10.3, 30.3], [10.3, 30.3]).baselineOffset).toBeCloseTo(-0.3);
    expect(shiftToRows([10.3, 30.8], [10.3, 30.8]).baselineOffset).toBeCloseTo(-0.2);
  });
});
