import { convertReading, emitted, readInside, readText } from '../../../tests/support/mockups';
import { standInsOf } from './standIns';

/** Lines in a family that no machine has, drawn at a share of the width that the local font gives. */
function drawnAt(share: number, family = 'Nowhere Grotesk, sans-serif') {
  const lines = ['Sailings from Ternholm', 'Every day at noon', 'Mind the gap'];
  const plain = readInside(
    lines.map((words, at) => `<text y="${20 + at * 20}" font-family="${family}">${words}</text>`).join(''),
  );
  const widths = plain.mockup.screens[0]!.root.layers.map((layer) =>
    layer.kind === 'text' ? layer.lines[0]!.width : 0,
  );
  const texts = lines.map(
    (words, at) =>
      `<text y="${20 + at * 20}" font-family="${family}" textLength="${widths[at]! * share}" lengthAdjust="spacingAndGlyphs">${words}</text>`,
  );
  return readText(`<svg xmlns="http://www.w3.org/2000/svg" width="400" height="100">${texts.join('')}</svg>`);
}

describe('a local face that stands in for a missing family', () => {
  it('has the size at which words are as wide as they were drawn', () => {
    const [standIn, ...others] = standInsOf(drawnAt(0.88).mockup).values();
    expect(others).toEqual([]);
    expect(standIn).toMatchObject({ family: 'Nowhere Grotesk stand-in', weight: 400, italic: false });
    expect(standIn!.sizeAdjust).toBeCloseTo(0.88, 2);
  });

  it.each([
    ['the font is the one that was drawn with', drawnAt(1)],
    ['widths were set for another reason', drawnAt(0.5)],
    ['the family is shipped', drawnAt(0.88, 'Commissioner')],
  ])('is none where %s', (_, { mockup }) => {
    expect(standInsOf(mockup).size).toBe(0);
  });

  it('keeps the ascent and descent of the font whose size it changes', () => {
    const [standIn] = standInsOf(drawnAt(0.8).mockup).values();
    const css = emitted(convertReading(drawnAt(0.8), 'flow'), 'styles.css');
    const share = (property: string) => Number(new RegExp(`${property}: ([\\d.]+)%`).exec(css)?.[1]) / 100;
    // The adjustment scales the overrides, too (CSS Fonts 5, §6; measured in Chromium).
    expect(share('ascent-override') * share('size-adjust')).toBeCloseTo(standIn!.ascent, 2);
    expect(share('descent-override') * share('size-adjust')).toBeCloseTo(standIn!.descent, 2);
  });

  it('stands before the family that browsers resolve, in the flow alone', () => {
    const reading = drawnAt(0.88);
    const css = emitted(convertReading(reading, 'flow'), 'styles.css');
    expect(css).toMatch(
      /@font-face \{\n {2}font-family: "Nowhere Grotesk stand-in";[^}]*size-adjust: 88(?:\.\d)?%;/,
    );
    expect(css).toMatch(/"Nowhere Grotesk", "Nowhere Grotesk stand-in", sans-serif/);
    expect(css).not.toContain('scaleX');
    expect(emitted(convertReading(reading, 'nested'), 'styles.css')).not.toContain('stand-in');
  });
});
