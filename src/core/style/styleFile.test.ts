import { applyStructuralTags } from '../sort/structuralTags';
import { SHEET } from '../mockup/identity';
import { layerNamed, readInside } from '../../../tests/support/mockups';
import { readStyleFile, styleFile } from './styleFile';

const reading = readInside('<rect id="deck" width="9" height="9" fill="#864"/>');
const mockup = applyStructuralTags(reading.mockup, new Map());
const deck = layerNamed(reading, 'deck');
const VALUES = [{ kind: 'colour', value: '#854', into: '#864' }] as const;

describe('a style file', () => {
  it('is read as what it was exported from', () => {
    const tags = new Map([
      [SHEET.id, { values: VALUES }],
      [deck.id, { lookName: 'plank' }],
    ]);
    const file = JSON.parse(JSON.stringify(styleFile(mockup, tags))) as unknown;
    expect(readStyleFile(file, mockup)).toEqual({ tags, refused: [] });
  });

  it('is taken as far as it is known', () => {
    const { tags, refused } = readStyleFile(
      {
        version: 1,
        values: [
          ...VALUES,
          { kind: 'colour', value: 'red; } body {', into: '#fff' },
          { kind: 'colour', value: '#fff', into: 'rgb(0 0 0' },
          7,
        ],
        classes: [
          { layer: deck.path, name: '1 bad' },
          { layer: '/gone', name: 'gone' },
          { layer: deck.path, name: 'plank' },
        ],
      },
      mockup,
    );
    expect(tags.get(deck.id)).toEqual({ lookName: 'plank' });
    expect(tags.get(SHEET.id)).toEqual({ values: VALUES });
    expect(refused).toHaveLength(5);
    expect(refused.at(-1)).toBe('/gone: the mockup has no such layer.');
  });

  it('of another version or none is refused in a sentence', () => {
    expect(() => readStyleFile({ version: 2 }, mockup)).toThrow('is of version 2; Orden reads version 1');
    expect(() => readStyleFile([], mockup)).toThrow('This is no style file');
  });
});
