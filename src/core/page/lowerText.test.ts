import { nodes } from '../../../tests/support/pageNodes';
import { readInside } from '../../../tests/support/mockups';
import { baselineInLine, roundedExtents } from './baselines';

describe('texts', () => {
  it('stands on the baseline where it was drawn', () => {
    const reading = readInside('<text font-family="Commissioner" font-size="20" x="10" y="60">Ay</text>');
    const [node] = nodes(reading);
    const { metrics } = Object.values(reading.mockup.faces)[0]!;
    const height = node!.look.type!.lineHeight!;
    expect(node!.place.y + baselineInLine(metrics, 20, height)).toBe(60);
  });

  // hhea of Commissioner 400: ascent 1.017, descent 0.206 of an em; read from the font file.
  it('keeps the size of letters with geometric precision that are scaled down, outside the flow', () => {
    const text =
      '<text transform="scale(.1)" x="100" y="200" font-size="110" text-rendering="geometricPrecision">Sund</text>';
    const [placed, flowing] = (['nested', 'flow'] as const).map((arrangement) =>
      nodes(readInside(text), arrangement).find(({ kind }) => kind === 'text'),
    );
    expect(placed).toMatchObject({ look: { type: { size: 110 } }, place: { linear: [0.1, 0, 0, 0.1] } });
    expect(flowing).toMatchObject({ look: { type: { size: 11 } }, place: { linear: null } });
  });

  it('turns uneven scales into letters of their height, squeezed horizontally, in the flow', () => {
    const text =
      '<g transform="scale(.5 1)"><text x="40" y="20" font-size="20" font-family="Commissioner">To Sund</text></g>';
    const flowing = nodes(readInside(text), 'flow').find(({ kind }) => kind === 'text');
    expect(flowing).toMatchObject({ look: { type: { size: 20 } }, place: { linear: [0.5, 0, 0, 1] } });
  });

  it('keeps scaled letters in their visible row of px', () => {
    const [node] = nodes(
      readInside(
        '<text transform="scale(.1)" x="100" y="175" font-size="110" text-rendering="geometricPrecision">Sund</text>',
      ),
      'fixed',
    );
    // Browsers draw a baseline at 17.5 px in the row of 18 (seen in Chromium), and would the next hair above in that of 17.
    if (node?.kind !== 'text') throw new Error('No text was made.');
    const seen = 17.5 + node.baselineOffset;
    expect(Math.round(seen - 0.09)).toBe(18);
    expect(seen).toBeLessThan(18.4);
  });

  it('rounds ascent and descent as browsers do', () => {
    const metrics = { unitsPerEm: 2000, ascent: 2034, descent: 412, lineGap: 0, xHeight: 1000, space: 520 };
    expect(roundedExtents(metrics, 15)).toEqual({ ascent: 15, descent: 3 });
    expect(baselineInLine(metrics, 15, 18)).toBe(15);
    expect(baselineInLine(metrics, 15, 24)).toBe(18);
    expect(baselineInLine(metrics, 15, 17)).toBe(14);
  });

  it('is one paragraph when its lines are even, with their distance as line height', () => {
    const [node] = nodes(
      readInside(
        '<text font-family="Aleo" font-size="10"><tspan x="5" y="20">a</tspan><tspan x="5" y="35">b</tspan><tspan x="5" y="50">c</tspan></text>',
      ),
    );
    expect(node).toMatchObject({ kind: 'text', look: { type: { lineHeight: 15 } } });
    expect(node!.kind === 'text' && node!.lines.map((line) => line.at)).toEqual([null, null, null]);
  });

  it('places lines one by one when they are uneven', () => {
    const [node] = nodes(
      readInside(
        '<text font-family="Aleo" font-size="10"><tspan x="5" y="20">a</tspan><tspan x="9" y="35">b</tspan></text>',
      ),
    );
    expect(node!.kind === 'text' && node!.lines.map((line) => line.at)).toEqual([
      { x: 0, y: 0, stretch: 1, trailingSpace: 0 },
      { x: 4, y: 15, stretch: 1, trailingSpace: 0 },
    ]);
  });

  it('centres lines together with the trailing space, where the file has them so', () => {
    const line = (x: number, y: number, width: number, text: string) =>
      `<tspan xml:space="preserve" x="${x}" y="${y}" textLength="${width}" lengthAdjust="spacingAndGlyphs">${text}</tspan>`;
    const [node] = nodes(
      readInside(
        `<text font-family="Aleo" font-size="10">${line(60, 20, 80, 'The ferry to Holm ')}${line(85, 35, 30, 'sails')}</text>`,
      ),
      'nested',
    );
    expect(node).toMatchObject({
      hasRegularLines: true,
      look: { type: { align: 'middle', lineHeight: 15 } },
    });
    const [first, second] = node!.kind === 'text' ? node!.lines : [];
    expect(first!.width + first!.at!.trailingSpace).toBeCloseTo(80);
    expect(first!.at!.trailingSpace).toBeGreaterThan(1);
    expect(second!.at).toMatchObject({ x: 25, trailingSpace: 0 });
    expect(node!.place).toMatchObject({ x: 60, width: 80 });
  });

  it('does not repeat the look of the text in its runs', () => {
    const [node] = nodes(
      readInside(
        '<text font-size="10" y="20">a<tspan fill="#000">b</tspan><tspan fill="red">c</tspan></text>',
      ),
    );
    expect(node!.kind === 'text' && node!.lines[0]!.spans.map((span) => span.look.type?.colour?.r)).toEqual([
      undefined,
      undefined,
      255,
    ]);
  });
});

it('centred lines that end in a space align as they were drawn, in the flow', () => {
  // A converter sets the length of a line without the space that it ends in.
  const line = (x: number, y: number, words: string, length: number) =>
    `<tspan xml:space="preserve" x="${x}" y="${y}" textLength="${length}" lengthAdjust="spacingAndGlyphs">${words}</tspan>`;
  const text = `<text font-family="Commissioner" font-size="16">${line(20, 40, 'Six crossings every day ', 160)}${line(35, 62, 'from Sund to Holm ', 130)}${line(60, 84, 'and back', 80)}</text>`;
  const [node] = nodes(readInside(text), 'flow').filter(({ kind }) => kind === 'text');
  expect(node).toMatchObject({
    look: { type: { align: 'middle' } },
    lines: [{ at: null }, { at: null }, { at: null }],
  });
});
