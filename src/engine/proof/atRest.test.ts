import { atRest } from './atRest';

const still = (svg: string) => new TextDecoder().decode(atRest(new TextEncoder().encode(svg)));

describe('a mockup at rest', () => {
  it('has no animations, in whatever way they are written', () => {
    expect(still('<svg><g><animateTransform type="a>b" dur="1s"/><rect/></g></svg>')).toBe(
      '<svg><g><rect/></g></svg>',
    );
    expect(still('<svg><rect><svg:set to="1">\n<desc>x</desc></svg:set ></rect></svg>')).toBe(
      '<svg><rect></rect></svg>',
    );
  });

  it('stays as it is where nothing moves', () => {
    const bytes = new TextEncoder().encode('<svg><settings/><animated/></svg>');
    expect(atRest(bytes)).toBe(bytes);
  });
});
