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

  it('may be a file of Design Tokens, whose names are taken', () => {
    const rgb = (components: readonly number[], alpha = 1) => ({ colorSpace: 'srgb', components, alpha });
    const { tags, refused } = readStyleFile(
      {
        color: {
          $type: 'color',
          hull: { $value: rgb([0.5333, 0.4, 0.2667]) },
          keel: { $value: '{color.hull}' },
          fog: { $value: rgb([1, 1, 1], 0.4) },
        },
        space: {
          $type: 'dimension',
          berth: { $value: { value: 12, unit: 'px' } },
          far: { $value: { value: 2, unit: 'rem' } },
        },
        button: { radius: { $type: 'dimension', $value: { value: 6, unit: 'px' } } },
        loop: { $type: 'color', $value: '{loop}' },
      },
      mockup,
    );
    expect(tags.get(SHEET.id)?.values).toEqual([
      { kind: 'colour', value: '#864', name: 'hull' },
      { kind: 'colour', value: 'rgb(255 255 255 / 40%)', name: 'fog' },
      { kind: 'space', value: '12px', name: 'berth' },
      { kind: 'radius', value: '6px', name: 'button-radius' },
    ]);
    expect(refused.map((each) => each.split(':')[0])).toEqual(['space.far', 'loop']);
  });

  it('of another version or none is refused in a sentence', () => {
    expect(() => readStyleFile({ version: 2 }, mockup)).toThrow('is of version 2; Orden reads version 1');
    expect(() => readStyleFile([], mockup)).toThrow('This is no style file');
  });
});
