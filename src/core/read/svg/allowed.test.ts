import { readInside } from '../../../../tests/support/mockups';
import { mayFetch } from './allowed';

const SVG_DATA = `data:image/svg+xml,${encodeURIComponent('<svg xmlns="http://www.w3.org/2000/svg"/>')}`;
const PNG_DATA =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAQAAAC1HAwCAAAAC0lEQVR42mNkYAAAAAYAAjCB0C8AAAAASUVORK5CYII=';

function kept(inMask: string): string {
  const { mockup } = readInside(
    `<defs><rect id="r" width="4" height="4"/></defs><mask id="m">${inMask}</mask><rect width="9" height="9" mask="url(#m)"/>`,
  );
  return JSON.stringify(mockup.definitions);
}

/** A kept definition holds elements that draw, their own attributes, and nothing from elsewhere. */
describe('what a kept definition holds', () => {
  it.each([
    ['an address in capitals', '<rect width="4" height="4" fill="URL(http://evil.test/a)"/>'],
    ['an address with an escape', '<rect width="4" height="4" fill="u\\72l(http://evil.test/a)"/>'],
    ['an address in a style', '<rect width="4" height="4" style="filter: Url( http://evil.test/a )"/>'],
    ['a set of images', '<rect width="4" height="4" cursor="image-set(&quot;http://evil.test/a&quot; 1x)"/>'],
    ['an address after a name', '<rect width="4" height="4" fill="url(#r) url(http://evil.test/a)"/>'],
    ['an outside picture', '<image width="4" height="4" href="http://evil.test/a"/>'],
    ['an outside reference', '<use href="http://evil.test/a#r"/>'],
    ['an animation', '<rect width="4" height="4"><animate attributeName="href" to="evil.test"/></rect>'],
    ['a setter', '<rect width="4" height="4"><set attributeName="href" to="evil.test"/></rect>'],
    ['a link', '<a href="javascript:evil.test"><rect width="4" height="4"/></a>'],
    ['a link of a prefix', '<a xlink:href="javascript:evil.test"><rect width="4" height="4"/></a>'],
    ['a listener', '<rect width="4" height="4" onbegin="evil.test"/>'],
    [
      'foreign content',
      '<foreignObject><p xmlns="http://www.w3.org/1999/xhtml">evil.test</p></foreignObject>',
    ],
    ['an attribute of no element', '<rect width="4" height="4" ping="http://evil.test"/>'],
  ])('not %s', (_, content) => {
    const text = kept(content);
    expect(text).toMatch(/"m"/);
    expect(text).not.toMatch(/evil|animate|javascript|"a"/);
  });

  it('what a link draws stays', () => {
    expect(kept('<a href="#"><rect width="4" height="4"/></a>')).toContain('"name":"rect"');
  });

  it('bitmaps as data, and no SVG in an address of its own', () => {
    expect(kept(`<image width="4" height="4" href="${PNG_DATA}"/>`)).toContain('image/png');
    expect(kept(`<image width="4" height="4" href="${SVG_DATA}"/>`)).not.toContain('data:');
  });
});

describe('values that may fetch', () => {
  it.each(['url(#a)', 'URL(a)', 'u\\72 l(a)', '\\55 rl("a")', 'src("a")', 'image-set("a" 1x)', 'red url(a'])(
    '%s may',
    (value) => expect(mayFetch(value)).toBe(true),
  );
  it.each(['red', 'rgb(1 2 3)', 'translate(4px)', 'curl', '"url"'])('%s does not', (value) =>
    expect(mayFetch(value)).toBe(false),
  );
});
