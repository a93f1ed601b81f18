import { codesOf, only, readInside } from '../../../../../tests/support/mockups';
import type { TextLayer } from '../../../mockup/layer';

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

  it('places letters along a path one by one, and says so', () => {
    const reading = readInside(
      `<path id="way" d="M0 50h100" fill="none" stroke="red"/><text ${FONT}><textPath href="#way">along</textPath></text>`,
    );
    expect(only(reading, 'text')).toMatchObject({ oddities: ['letters along a path'] });
    expect(
      only(reading, 'text')
        .placed?.map(({ run }) => run.text)
        .join(''),
    ).toBe('along');
    expect(codesOf(reading)).toContain('text-oddity');
  });

  it('keeps links inside a text on their letters, and never a script', () => {
    const layer = text(
      `<text ${FONT} y="20">see <a href="#there">there</a> <a href="javascript:alert(1)">not</a></text>`,
    );
    expect(layer.lines[0]!.runs.map((run) => [run.text, run.href])).toEqual([
      ['see ', undefined],
      ['there', '#there'],
      [' ', undefined],
      ['not', undefined],
    ]);
  });

  it('begins at the right where it runs from right to left', () => {
    const layer = text(`<text ${FONT} x="100" y="20" direction="rtl">שלום</text>`);
    expect(layer.rightToLeft).toBe(true);
    expect(layer.lines[0]!.x + layer.lines[0]!.width).toBeCloseTo(100);
    expect(
      text(`<text ${FONT} x="100" y="20" direction="rtl">שלום <tspan direction="ltr">7</tspan></text>`)
        .oddities,
    ).toEqual(['letters in two directions']);
    const end = text(`<text ${FONT} x="100" y="20" direction="rtl" text-anchor="end">שלום</text>`);
    expect(end.lines[0]!.x).toBeCloseTo(100);
  });

  it('raises and lowers letters without leaving the line', () => {
    const layer = text(
      `<text ${FONT} y="20">H<tspan baseline-shift="-5">2</tspan>O<tspan baseline-shift="super">+</tspan></text>`,
    );
    expect(layer.lines).toHaveLength(1);
    const rises = layer.lines[0]!.runs.map((run) => run.baselineShift);
    expect(rises.slice(0, 3)).toEqual([0, -5, 0]);
    expect(rises[3]).toBeGreaterThan(8);
  });

  it('leaves the room of hidden letters', () => {
    const layer = text(`<text ${FONT} y="20">a<tspan visibility="hidden">bcd</tspan>e</text>`);
    const [first, second] = layer.lines;
    expect(layer.lines.map(({ runs }) => runs[0]!.text)).toEqual(['a', 'e']);
    expect(second!.x - first!.width).toBeGreaterThan(20);
  });

  it('takes letters that are all spaced alike as letter spacing', () => {
    const natural = (word: string) => text(`<text ${FONT} y="20">${word}</text>`).lines[0]!.width;
    const xs = ['', 'T', 'Te', 'Ter'].map((word, at) => (word ? natural(word) : 0) + at * 4);
    const layer = text(`<text ${FONT} x="${xs.join(' ')}" y="20">Tern</text>`);
    expect(layer.lines).toHaveLength(1);
    expect(layer.lines[0]!.runs[0]!.text).toBe('Tern');
    expect(layer.lines[0]!.runs[0]!.style.letterSpacing).toBeCloseTo(4, 1);
  });

  it('puts the space back between words that were placed one by one', () => {
    const first = text(`<text ${FONT} y="20">calm </text>`).lines[0]!.width;
    const space =
      text(`<text ${FONT} y="20">a b</text>`).lines[0]!.width -
      text(`<text ${FONT} y="20">ab</text>`).lines[0]!.width;
    const layer = text(
      `<text ${FONT} y="20"><tspan x="0">calm</tspan><tspan x="${first + space}">sea</tspan></text>`,
    );
    expect(layer.lines.map(({ runs }) => runs.map((run) => run.text).join(''))).toEqual(['calm sea']);
  });

  it('sees that lines written from their left ends are centred or end alike', () => {
    const [long, short] = ['a long line of words', 'a short one'].map((words) => ({
      words,
      width: text(`<text ${FONT} y="20">${words}</text>`).lines[0]!.width,
    }));
    const lay = (share: number) =>
      text(
        `<text ${FONT}><tspan x="0" y="20">${long!.words}</tspan><tspan x="${(long!.width - short!.width) * share}" y="44">${short!.words}</tspan></text>`,
      ).align;
    expect([lay(0), lay(0.5), lay(1)]).toEqual(['start', 'middle', 'end']);
  });

  it('sets small capitals narrower than capitals', () => {
    const width = (attributes: string, word: string) =>
      text(`<text ${FONT} y="20" ${attributes}>${word}</text>`).lines[0]!.width;
    const small = width('font-variant="small-caps"', 'mole');
    expect(small).toBeCloseTo(width('', 'MOLE') * 0.7, 0);
  });

  it('says which font stands in for one that is missing', () => {
    const reading = readInside('<text font-family="Nowhere Grotesk" y="20">a</text>');
    expect(reading.findings[0]).toMatchObject({ code: 'font-replaced', data: { family: 'Nowhere Grotesk' } });
  });
});
