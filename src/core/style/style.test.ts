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
    expect(names(`${sample}${both}<rect id="d" y="60" width="9" height="9" fill="blue"/>`)).toEqual(['fill']);
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
