import { withoutAnimations } from './atRest';

const still = (svg: string) => new TextDecoder().decode(withoutAnimations(new TextEncoder().encode(svg)));

describe('the resting state of a mockup', () => {
  it('has no animations, whatever their syntax', () => {
    expect(still('<svg><g><animateTransform type="a>b" dur="1s"/><rect/></g></svg>')).toBe(
      '<svg><g><rect/></g></svg>',
    );
    expect(still('<svg><rect><svg:set to="1">\n<desc>x</desc></svg:set ></rect></svg>')).toBe(
      '<svg><rect></rect></svg>',
    );
  });

  it('is the unchanged file where nothing moves', () => {
    const bytes = new TextEncoder().encode('<svg><settings/><animated/></svg>');
    expect(withoutAnimations(bytes)).toBe(bytes);
  });
});
