import { readInside } from '../../../tests/support/mockups';
import type { GroupLayer } from '../mockup/layer';
import { differencesOf, sayDifferences } from './differences';

function groups(one: string, other: string): readonly GroupLayer[] {
  const { mockup } = readInside(`<g id="one">${one}</g><g id="other">${other}</g>`);
  return mockup.screens[0]!.root.layers as readonly GroupLayer[];
}

describe('differences between like-built layers', () => {
  const lamp = (fill: string) => `<rect id="lamp" width="9" height="9" fill="${fill}"/>`;
  const sign = (words: string, fill = '#000') => `<text id="sign" y="20" fill="${fill}">${words}</text>`;

  it.each([
    [lamp('#f00') + sign('On'), lamp('#f00') + sign('On'), ''],
    [lamp('#0f0') + sign('On'), lamp('#f00') + sign('Off'), 'lamp: another colour, sign: other words'],
    [sign('On', '#777'), sign('On'), 'sign: another colour'],
    [lamp('#f00'), lamp('#f00') + sign('On'), 'sign: is missing'],
    [lamp('#f00') + sign('On'), lamp('#f00'), 'sign: is there too'],
    [lamp('#f00'), lamp('#f00').replace('width="9"', 'width="8"'), 'lamp: another form'],
  ])('%s against %s', (one, other, said) => {
    const [first, second] = groups(one, other);
    expect(sayDifferences(differencesOf(first!, second!))).toBe(said);
  });

  it('are listed when few, and counted beyond', () => {
    const many = (fill: string) => Array.from({ length: 6 }, () => lamp(fill)).join('');
    const [first, second] = groups(many('#f00'), many('#00f'));
    expect(sayDifferences(differencesOf(first!, second!))).toMatch(/and 2 more$/);
  });
});
