import { alternativeOf } from '../src/core/page/alternativeText';
import { convertReading, layerNamed, readInside } from './support/mockups';
import { idAt } from './support/ids';

/** The alternative text of a picture of this name. */
function alternative(
  name: string,
  inside = '<path d="M0 0q9 -9 18 0t18 0" fill="none" stroke="#000"/>',
): string {
  const { mockup, decisions } = convertReading(readInside(`<g id="${name}">${inside}</g>`));
  const [layer] = mockup.screens[0]!.root.layers;
  return alternativeOf(layer!, decisions.get(layer!.id)!);
}

describe('alternative texts', () => {
  // HTML, §4.8.4.4: what a picture says, and nothing for decoration.
  it.each([
    ['ferry-mark', 'ferry mark'],
    ['harbour-photo', 'harbour'],
    ['icon-sea', ''],
    ['icon 24', ''],
    ['image-art-12.png', 'art'],
    ['IMG_2041.jpg', ''],
  ])('of %s is "%s"', (name, words) => {
    expect(alternative(name)).toBe(words);
  });

  it('are the words that are drawn in the picture', () => {
    const sign = '<path d="M0 0q9 -9 18 0t18 0"/><text y="30" font-size="12">Mind the gap</text>';
    expect(alternative('sign-2', sign)).toBe('Mind the gap');
  });

  it('are what a person says; nothing where a person says so', () => {
    const gull =
      '<path id="gull [alt=&quot;A gull over the pier&quot;]" d="M0 0q9 -9 18 0t18 0" fill="none" stroke="#000"/>';
    const { emission } = convertReading(readInside(gull));
    expect(emission.files[0]!.text).toContain('alt="A gull over the pier"');
    const tags = new Map([[idAt('/gull'), { alt: '' }]]);
    const plain = readInside('<path id="gull" d="M0 0q9 -9 18 0t18 0" fill="none" stroke="#000"/>');
    expect(convertReading(plain, 'nested', tags).emission.files[0]!.text).toContain('alt=""');
  });

  it('name a link that is a picture, whatever its name is', () => {
    const link =
      '<a href="#x"><path id="icon-search" d="M0 0q9 -9 18 0t18 0" fill="none" stroke="#000"/></a>';
    const reading = readInside(link);
    expect(layerNamed(reading, 'icon-search')).toBeDefined();
    expect(convertReading(reading).emission.files[0]!.text).toContain('alt="search"');
  });
});
