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
    ).toEqual(['text', 'other', 'text-light']);
  });

  it('say what a layer without a name is to the thing that it is in', () => {
    const fill = (x: number, colour: string, more = '') =>
      `<rect x="${x}" y="5" width="9" height="9" fill="${colour}" ${more}/>`;
    expect(
      names(
        `<g id="sailing-card" transform="translate(10)"><rect width="300" height="60" fill="#eee"/>
           <text x="40" y="20" font-size="14">To Vik</text><text x="40" y="44" font-size="14" font-weight="700">9:40</text></g>`,
      ),
    ).toEqual(['sailing-card', 'sailing-card-text', 'sailing-card-text-bold']);
    // Names of elements, tools and helper classes say nothing.
    for (const empty of ['div', 'span16', 'd-flex', 'text-muted', 'bg-gradient', 'h3'])
      expect(names(`<g id="price-list">${fill(5, 'red', `id="${empty}"`)}${fill(30, 'red')}</g>`)).toContain(
        'price-list-item',
      );
    // Words that place and name begin with are said once.
    expect(
      names(
        `<g id="nav-link">${fill(5, 'red')}</g><g id="nav-group"><g id="nav-link" transform="translate(0 40)">${fill(5, 'blue')}</g></g>`,
      ).filter((name) => /nav-.*nav/.test(name)),
    ).toEqual([]);
  });

  it('keep different looks apart', () => {
    expect(
      names(
        '<rect id="tile" width="9" height="9" fill="red"/><rect id="tile" y="20" width="9" height="9" fill="blue"/>',
      ),
    ).toEqual(['tile', 'tile-blue']);
  });

  it('are those of samples and persons, where all users of the class have that look and nothing else does', () => {
    const sample = '<g data-name="Looks [style]"><rect id="card" width="9" height="9" fill="blue"/></g>';
    const card = (id: string, y: number, more = '') =>
      `<rect id="${id}" y="${y}" width="9" height="9" ${more} data-tags=".card"/>`;
    const both = card('a', 20) + card('b', 40);
    expect(names(sample + both)).toEqual(['card']);
    expect(names(both)).toEqual(['card']);
    expect(names(`${sample}${both}<rect id="tile" y="60" width="9" height="9" fill="blue"/>`)).toEqual([
      'card',
      'tile',
    ]);
    expect(names(`${sample}${both}<g id="set" opacity=".5" data-tags=".card">${card('e', 80)}</g>`)).toEqual([
      'fill',
      'set',
    ]);
  });

  it('never take the names that the base sheet uses', () => {
    expect(
      names(
        '<rect id="screen" width="9" height="9"/><rect id="run" y="20" width="9" height="9" fill="red"/>',
      ),
    ).toEqual(['screen-2', 'run-red']);
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
