import { convertReading, readInside } from '../../../tests/support/mockups';

const names = (content: string) =>
  convertReading(readInside(content)).sheet.classes.map((entry) => entry.name);

describe('classes from looks', () => {
  it('are named after the layers that use them, without numbers', () => {
    expect(
      names('<rect id="row-1" width="9" height="9"/><rect id="row-2" y="20" width="9" height="9"/>'),
    ).toEqual(['row']);
  });

  it('take the name that most layers have', () => {
    expect(
      names(
        '<rect id="odd" width="9" height="9"/><rect id="tile-a" y="20" width="9" height="9"/><rect id="tile-a" y="40" width="9" height="9"/>',
      ),
    ).toEqual(['tile-a']);
  });

  it('describe the look when no layer has a name', () => {
    expect(
      names(`<rect width="9" height="9" fill="red"/><rect y="20" width="9" height="9" rx="2" fill="red"/><rect y="40" width="9" height="9" fill="none" stroke="red"/>
        <linearGradient id="g"><stop/><stop offset="1" stop-color="red"/></linearGradient><rect y="60" width="9" height="9" fill="url(#g)"/>`),
    ).toEqual(['fill', 'rounded', 'frame', 'gradient']);
    expect(
      names(
        '<text y="20" font-size="14" font-weight="700">some</text><text y="40" font-size="14">other</text><text y="60" font-size="9" font-weight="300">third</text>',
      ),
    ).toEqual(['text-14-bold', 'text-14', 'text-9-light']);
  });

  it('keep different looks apart', () => {
    expect(
      names(
        '<rect id="a" width="9" height="9" fill="red"/><rect id="a" y="20" width="9" height="9" fill="blue"/>',
      ),
    ).toEqual(['a', 'a-2']);
  });

  it('are those of samples and persons, where all users of the class have that look and nothing else does', () => {
    const sample = '<g data-name="Looks [style]"><rect id="card" width="9" height="9" fill="blue"/></g>';
    const card = (id: string, y: number, more = '') =>
      `<rect id="${id}" y="${y}" width="9" height="9" ${more} data-tags=".card"/>`;
    const both = card('a', 20) + card('b', 40);
    expect(names(sample + both)).toEqual(['card']);
    expect(names(both)).toEqual(['card']);
    expect(names(`${sample}${both}<rect id="d" y="60" width="9" height="9" fill="blue"/>`)).toEqual([
      'card',
      'd',
    ]);
    expect(names(`${sample}${both}<g id="c" opacity=".5" data-tags=".card">${card('e', 80)}</g>`)).toEqual([
      'fill',
      'c',
    ]);
  });

  it('never take the names that the base sheet uses', () => {
    expect(
      names(
        '<rect id="screen" width="9" height="9"/><rect id="run" y="20" width="9" height="9" fill="red"/>',
      ),
    ).toEqual(['screen-2', 'run-2']);
  });

  it('give a plain look no class', () => {
    const { sheet } = convertReading(
      readInside('<g id="a"><rect width="9" height="9"/><rect y="20" width="9" height="9"/></g>'),
    );
    expect(sheet.classFor({})).toBeNull();
  });
});

describe('a class with a sample', () => {
  const LOOKS =
    '<g data-name="Looks [style]"><linearGradient id="w" x2="0" y2="1"><stop stop-color="#fff"/><stop offset="1" stop-color="#eef"/></linearGradient><rect id="plate" x="500" width="9" height="9" rx="4" fill="url(#w)"/><rect id="rope" x="500" y="20" width="9" height="9"/></g>';
  const card = (x: number, width: number, inside: string) =>
    `<g id="card-${x}" transform="translate(${x} 0)"><rect width="${width}" height="40" data-tags=".plate" fill="#888"/>${inside}</g>`;
  const text = (x: number, words: string) => `<text x="${x}" y="24" font-size="12">${words}</text>`;
  const reading = readInside(
    LOOKS + card(0, 60, text(8, 'Tide')) + card(70, 120, text(20, 'Wind') + text(80, 'Sea')),
  );

  it('holds the look of the sample alone, however those who wear it are laid out', () => {
    const { sheet, emission } = convertReading(reading, 'flow');
    const [plate, ...more] = sheet.classes.filter(({ name }) => name === 'plate');
    expect(more).toEqual([]);
    expect(plate).toMatchObject({ look: { fills: [{ kind: 'linear' }] }, layout: null });
    expect(emission.files[0]!.text.match(/class="[^"]*\bplate\b/g)).toHaveLength(2);
  });

  it('has a finding when nobody wears it, and a class without a sample has one', () => {
    const { findings } = convertReading(
      readInside(LOOKS + card(0, 60, '') + '<rect y="60" width="9" height="9" data-tags=".buoy"/>'),
    );
    expect(findings.map(({ code, data }) => [code, data])).toEqual(
      expect.arrayContaining([
        ['sample-unused', { name: 'rope' }],
        ['class-without-sample', { name: 'buoy' }],
      ]),
    );
  });
});
