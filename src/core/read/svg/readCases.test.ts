import { readCase } from '../../../../tests/support/mockups';
import { layersOf } from '../../mockup/walk';

describe('mockups that no one here drew', () => {
  it.each([
    ['bs5-pricing.svg', 123],
    ['w3c-styling-css-04-f.svg', 53],
    ['oc-dartboard-use.svg', 333],
    ['w3c-pservers-grad-09-b.svg', 8],
  ])('%s gives %i layers, each with a key of its own', (name, count) => {
    const keys = layersOf(readCase(name).mockup).map((layer) => layer.id);
    expect(keys).toHaveLength(count);
    expect(new Set(keys).size).toBe(count);
  });

  it('gives the same mockup after a trip through JSON', () => {
    const { mockup } = readCase('bs5-pricing.svg');
    expect(JSON.parse(JSON.stringify(mockup))).toEqual(mockup);
  });
});
