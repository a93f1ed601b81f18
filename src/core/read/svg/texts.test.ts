import { codesOf, only, readInside } from '../../../../tests/support/mockups';
import type { TextLayer } from '../../mockup/layer';

function text(content: string): TextLayer {
  return only(readInside(content), 'text');
}

function lines(content: string): [string, number, number][] {
  return text(content).lines.map((line) => [
    line.runs.map((run) => run.text).join(''),
    line.x,
    line.baseline,
  ]);
}

const FONT = 'font-family="Commissioner" font-size="20"';

describe('texts', () => {
  it('collapses white space like CSS, and keeps it where it is to be kept', () => {
    expect(lines(`<text ${FONT} x="5" y="20">\n  one\n  two </text>`)).toEqual([['one two', 5, 20]]);
    expect(text(`<text ${FONT} y="20" xml:space="preserve">a  b</text>`).lines[0]!.runs[0]!.text).toBe(
      'a  b',
    );
  });

  it('makes a line of every absolute position', () => {
    expect(
      lines(`<text ${FONT}><tspan x="5" y="20">one</tspan><tspan x="5" y="44">two</tspan></text>`),
    ).toEqual([
      ['one', 5, 20],
      ['two', 5, 44],
    ]);
  });

  it('brings letters with positions of their own together', () => {
    const natural = text(`<text ${FONT} y="20">ab</text>`).lines[0]!.runs[0]!.width;
    const first = text(`<text ${FONT} y="20">a</text>`).lines[0]!.width;
    expect(lines(`<text ${FONT} x="0 ${first}" y="20">ab</text>`)).toEqual([['ab', 0, 20]]);
    expect(natural).toBeGreaterThan(first);
  });

  it('anchors by the measured width', () => {
    const { width } = text(`<text ${FONT} y="20">wide</text>`).lines[0]!;
    expect(lines(`<text ${FONT} x="100" y="20" text-anchor="end">wide</text>`)[0]![1]).toBeCloseTo(
      100 - width,
    );
    expect(lines(`<text ${FONT} x="100" y="20" text-anchor="middle">wide</text>`)[0]![1]).toBeCloseTo(
      100 - width / 2,
    );
  });

  it('keeps runs of different style in one line', () => {
    const layer = text(
      `<text ${FONT} x="0" y="20">plain <tspan font-weight="bold" fill="red">bold</tspan></text>`,
    );
    expect(layer.lines).toHaveLength(1);
    expect(layer.lines[0]!.runs.map((run) => [run.text, run.style.weight])).toEqual([
      ['plain ', 400],
      ['bold', 700],
    ]);
  });

  it('moves by dx and dy', () => {
    expect(lines(`<text ${FONT} x="10" y="20" dx="5" dy="2">a</text>`)).toEqual([['a', 15, 22]]);
  });

  it('fits a given length by spacing, or by stretching the letters', () => {
    const natural = text(`<text ${FONT} y="20">width</text>`).lines[0]!.width;
    const spaced = text(`<text ${FONT} y="20" textLength="${natural + 8}">width</text>`).lines[0]!;
    expect(spaced.runs[0]!.style.letterSpacing).toBeCloseTo(2);
    const stretched = text(
      `<text ${FONT} y="20" textLength="${natural * 1.5}" lengthAdjust="spacingAndGlyphs">width</text>`,
    ).lines[0]!;
    expect([stretched.stretch, stretched.width]).toEqual([
      expect.closeTo(1.5),
      expect.closeTo(natural * 1.5),
    ]);
  });

  it('takes a length within rounding for the natural one', () => {
    const natural = text(`<text ${FONT} y="20">width</text>`).lines[0]!.width;
    expect(text(`<text ${FONT} y="20" textLength="${natural + 0.1}">width</text>`).lines[0]!.stretch).toBe(1);
  });

  it('starts where the first seen letter stands', () => {
    const space =
      text(`<text ${FONT} y="20" xml:space="preserve">a b</text>`).lines[0]!.width -
      text(`<text ${FONT} y="20">ab</text>`).lines[0]!.width;
    const [line] = lines(`<text ${FONT} x="10" y="20" xml:space="preserve"> a </text>`);
    expect(line![0]).toBe('a');
    expect(line![1]).toBeCloseTo(10 + space, 0);
  });

  it('moves the baseline for other alignments', () => {
    const baseline = (value: string) =>
      text(`<text ${FONT} y="50" dominant-baseline="${value}">a</text>`).lines[0]!.baseline;
    expect(baseline('auto')).toBe(50);
    expect(baseline('middle')).toBeGreaterThan(50);
    expect(baseline('text-before-edge')).toBeGreaterThan(baseline('hanging'));
    expect(baseline('text-after-edge')).toBeLessThan(50);
  });

  it('joins decorations of the elements around', () => {
    const layer = text(
      `<text ${FONT} y="20" text-decoration="underline">a<tspan text-decoration="line-through">b</tspan></text>`,
    );
    expect(layer.lines[0]!.runs[1]!.style).toMatchObject({ underline: true, lineThrough: true });
  });

  it('keeps a text on a path as it was drawn, and says so', () => {
    const reading = readInside(
      `<path id="way" d="M0 50h100" fill="none" stroke="red"/><text ${FONT}><textPath href="#way">along</textPath></text>`,
    );
    expect(only(reading, 'text')).toMatchObject({ oddities: ['letters along a path'] });
    expect(Object.keys(reading.mockup.definitions)).toContain('way');
    expect(codesOf(reading)).toContain('text-oddity');
  });

  it('says that a link inside a text is not written', () => {
    expect(codesOf(readInside(`<text ${FONT} y="20">see <a href="#there">there</a></text>`))).toEqual([
      'link-lost',
    ]);
  });

  it('says what it does not set', () => {
    expect(
      codesOf(
        readInside(`<text ${FONT} y="20" direction="rtl">a<tspan baseline-shift="super">b</tspan></text>`),
      ),
    ).toEqual(['value-ignored', 'value-ignored']);
  });

  it('says which font stands in for one that is missing', () => {
    const reading = readInside('<text font-family="Nowhere Grotesk" y="20">a</text>');
    expect(reading.findings[0]).toMatchObject({ code: 'font-replaced', data: { family: 'Nowhere Grotesk' } });
  });
});
