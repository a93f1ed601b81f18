import { withFontShorthand } from './fontShorthand';

describe('the shorthand of a font', () => {
  it('stands where all that it needs is said', () => {
    const parts = [
      ['font-weight', '600'],
      ['font-size', '10px'],
      ['line-height', '1.5'],
      ['font-family', 'Aleo, serif'],
      ['color', '#000'],
    ] as const;
    expect(withFontShorthand(parts)).toEqual([
      ['font', '600 10px/1.5 Aleo, serif'],
      ['color', '#000'],
    ]);
    expect(withFontShorthand(parts.slice(0, 3))).toEqual(parts.slice(0, 3));
  });
});
