import { evenBaselines, evenSpacing, fitLines } from './baselines';

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

describe('lines of which only the rows of px are known', () => {
  const drawn = [571, 593, 616, 638];
  const set = evenBaselines(571, 22.5, 4);

  it('are moved to where all of them lie well in their rows', () => {
    const { phase, nudge } = fitLines(set, drawn);
    expect(set.map((y) => Math.round(y + phase))).toEqual(drawn);
    expect(set.map((y) => Math.round(y + phase + nudge))).toEqual(drawn);
    expect([0.2, -0.1].map((drift) => set.map((y) => Math.round(y + phase + drift)))).toEqual([drawn, drawn]);
  });

  it('stay where they are when they lie in their rows, or when their places are known', () => {
    expect(fitLines(evenBaselines(10, 24, 3), [10, 34, 58]).phase).toBe(0);
    expect(fitLines([10.2, 32.7], [10.2, 32.7]).phase).toBe(0);
  });

  it('that lie between two rows are moved off the tie, to the row in which they were drawn', () => {
    expect(fitLines([10.5, 29.5], [10.5, 29.5]).phase).toBeCloseTo(0.1);
    expect(fitLines([10.49, 29.49], [10.49, 29.49]).phase).toBeCloseTo(-0.09);
    expect(fitLines([10.5, 29.5], [10.5, 29.5]).nudge).toBeCloseTo(0.4);
    expect(fitLines([10.5], [10.5]).phase).toBe(0);
  });

  it('go to whole px as far as every line stays in its row', () => {
    expect(fitLines([10.3, 30.3], [10.3, 30.3]).nudge).toBeCloseTo(-0.3);
    expect(fitLines([10.3, 30.8], [10.3, 30.8]).nudge).toBeCloseTo(-0.2);
  });
});
