import { codesOf, only, readInside } from '../../../../tests/support/mockups';
import type { Effect } from '../../mockup/layer';

function effects(filter: string, attributes = ''): readonly Effect[] {
  const reading = readInside(
    `<filter id="f" ${attributes}>${filter}</filter><rect width="9" height="9" filter="url(#f)"/>`,
  );
  return only(reading, 'shape').effects;
}

const SHADOW = {
  kind: 'drop-shadow',
  spread: 0,
  outside: false,
  dx: 1,
  dy: 2,
  deviation: 3,
  colour: { r: 0, g: 0, b: 0, alpha: 0.5 },
};

const INNER = { kind: 'inner-shadow', dx: 1, dy: 2, deviation: 3, spread: 0, colour: SHADOW.colour };

describe('filters that are shadows and blur', () => {
  it('knows the primitive for it', () => {
    expect(effects('<feDropShadow dx="1" dy="2" stdDeviation="3" flood-opacity=".5"/>')).toEqual([SHADOW]);
    expect(effects('<feGaussianBlur stdDeviation="4"/>')).toEqual([
      { kind: 'blur', deviation: 4, linear: true },
    ]);
  });

  // The chains that drawing programs write (common practice, no source).
  it.each([
    [
      'offset, blur and merge',
      '<feGaussianBlur in="SourceAlpha" stdDeviation="3"/><feOffset dx="1" dy="2" result="o"/><feComponentTransfer><feFuncA type="linear" slope=".5"/></feComponentTransfer><feMerge><feMergeNode/><feMergeNode in="SourceGraphic"/></feMerge>',
    ],
    [
      'a flood cut to the blurred shape',
      '<feFlood flood-opacity=".5" result="c"/><feGaussianBlur in="SourceAlpha" stdDeviation="3" result="b"/><feOffset in="b" dx="1" dy="2" result="o"/><feComposite in="c" in2="o" operator="in" result="s"/><feComposite in="SourceGraphic" in2="s" operator="over"/>',
    ],
    [
      'a hardened alpha, moved, blurred, coloured and blended',
      '<feFlood flood-opacity="0" result="none"/><feColorMatrix in="SourceAlpha" values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 127 0" result="hard"/><feOffset dx="1" dy="2"/><feGaussianBlur stdDeviation="3"/><feColorMatrix values="0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0.5 0"/><feBlend in2="none" result="s"/><feBlend in="SourceGraphic" in2="s"/>',
    ],
  ])('sees a shadow in %s', (_, chain) => {
    expect(effects(chain)).toEqual([SHADOW]);
  });

  it('adds the variances of two blurs', () => {
    expect(
      effects(
        '<feGaussianBlur in="SourceAlpha" stdDeviation="3"/><feGaussianBlur stdDeviation="4" result="b"/><feMerge><feMergeNode in="b"/><feMergeNode in="SourceGraphic"/></feMerge>',
      ),
    ).toMatchObject([{ deviation: 5 }]);
  });

  it('reads the functions of CSS', () => {
    const layer = only(
      readInside(
        '<rect width="9" height="9" style="filter:blur(2px) drop-shadow(1px 2px 3px rgb(0 0 0 / 50%))"/>',
      ),
      'shape',
    );
    expect(layer.effects).toEqual([{ kind: 'blur', deviation: 2, linear: false }, SHADOW]);
  });
});

describe('filters that are more than one shadow', () => {
  const HARD = '0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 127 0';
  const TINT = '0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0 0.5 0';

  // The chains that design programs write (common practice, no source).
  it('sees a shadow inside', () => {
    expect(
      effects(
        `<feFlood flood-opacity="0" result="none"/><feBlend in="SourceGraphic" in2="none" result="shape"/>
         <feColorMatrix in="SourceAlpha" values="${HARD}" result="hard"/><feMorphology radius="2" operator="erode" in="SourceAlpha"/>
         <feOffset dx="1" dy="2"/><feGaussianBlur stdDeviation="3"/><feComposite in2="hard" operator="arithmetic" k2="-1" k3="1"/>
         <feColorMatrix values="${TINT}"/><feBlend in2="shape"/>`,
      ),
    ).toEqual([{ ...INNER, spread: 2 }]);
  });

  it('sees a shadow inside that is cut out of a flood', () => {
    expect(
      effects(
        `<feGaussianBlur in="SourceAlpha" stdDeviation="3"/><feOffset dx="1" dy="2" result="b"/><feFlood flood-opacity=".5"/>
         <feComposite in2="b" operator="out"/><feComposite in2="SourceAlpha" operator="in" result="i"/>
         <feMerge><feMergeNode in="SourceGraphic"/><feMergeNode in="i"/></feMerge>`,
      ),
    ).toEqual([INNER]);
  });

  it('sees a grown shadow that is left out beneath the layer', () => {
    expect(
      effects(
        `<feFlood flood-opacity="0" result="none"/><feColorMatrix in="SourceAlpha" values="${HARD}" result="hard"/>
         <feMorphology radius="4" operator="dilate" in="SourceAlpha"/><feOffset dx="1" dy="2"/><feGaussianBlur stdDeviation="3"/>
         <feComposite in2="hard" operator="out"/><feColorMatrix values="${TINT}"/><feBlend in2="none" result="s"/>
         <feBlend in="SourceGraphic" in2="s"/>`,
      ),
    ).toEqual([{ ...SHADOW, spread: 4, outside: true }]);
  });

  it('sees changes of colour that CSS counts alike, and a list of filters', () => {
    const sRgb = 'color-interpolation-filters="sRGB"';
    expect(effects(`<feColorMatrix type="saturate" values=".2"/>`, sRgb)).toEqual([
      { kind: 'colour', function: 'saturate', amount: 0.2 },
    ]);
    const layer = only(
      readInside(
        `<filter id="f"><feGaussianBlur stdDeviation="2"/></filter><rect width="9" height="9" filter="url(#f) grayscale(50%) hue-rotate(.25turn)"/>`,
      ),
      'shape',
    );
    expect(layer.filter).toBe('url(#f) grayscale(0.5) hue-rotate(90deg)');
    expect(layer.effects).toHaveLength(3);
  });
});

describe('all other filters', () => {
  it.each([
    ['turbulence', '<feTurbulence baseFrequency=".1"/>'],
    ['a blur of two deviations', '<feGaussianBlur stdDeviation="1 2"/>'],
    ['a saturation', '<feColorMatrix type="saturate" values="0"/>'],
    ['a shadow without its source', '<feGaussianBlur in="SourceAlpha" stdDeviation="3"/>'],
    [
      'an inner composition',
      '<feComposite in="SourceGraphic" in2="SourceAlpha" operator="arithmetic" k1="1"/>',
    ],
  ])('keeps %s as it was drawn', (_, chain) => {
    expect(effects(chain)).toMatchObject([{ kind: 'defined', definition: 'f' }]);
  });

  it('keeps one that is measured by the box', () => {
    expect(
      effects('<feGaussianBlur stdDeviation=".1"/>', 'primitiveUnits="objectBoundingBox"'),
    ).toMatchObject([{ kind: 'defined', definition: 'f' }]);
  });

  it('keeps definitions with their own style and all that they refer to, and nothing that runs', () => {
    const reading = readInside(`<style>.w{fill:#fff}</style>
      <linearGradient id="g"><stop/><stop offset="1"/></linearGradient>
      <mask id="m"><script>x</script><rect class="w" width="9" height="9" onclick="x"/><rect width="4" height="4" fill="url(#g)" href="https://example.test/"/></mask>
      <rect width="9" height="9" mask="url(#m)"/>`);
    const { definitions } = reading.mockup;
    expect(Object.keys(definitions).sort()).toEqual(['g', 'm']);
    expect(JSON.stringify(definitions.m)).toContain('"fill":"#fff"');
    expect(JSON.stringify(definitions)).not.toMatch(/script|onclick|example\.test/);
    expect(codesOf(reading)).toContain('mask-kept');
  });
});
