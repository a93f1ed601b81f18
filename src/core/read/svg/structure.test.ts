import { PIXEL, shape } from '../../../../tests/support/shapes';
import { idAt } from '../../../../tests/support/ids';
import {
  codesOf,
  layerNamed,
  only,
  readBytes,
  readInside,
  readText,
} from '../../../../tests/support/mockups';
import type { GroupLayer } from '../../mockup/layer';
import { layersOf } from '../../mockup/walk';
import { ReadError } from '../readError';

describe('structure', () => {
  it.each([
    // Source: CSS 2.1, §10.3.2 for percentages; an absent size is that of the drawing.
    ['width="80" height="60"', '', [80, 60]],
    ['viewBox="0 0 30 20"', '', [30, 20]],
    ['width="117.292" height="135.714" viewBox="0 0 30 20"', '', [117, 136]],
    ['width="100%" height="100%" viewBox="0 0 30 20"', '', [30, 20]],
    ['width="80"', '<rect x="5" y="5" width="20.5" height="30"/>', [80, 35]],
    ['', '<rect x="5" y="5" width="20.5" height="30"/>', [26, 35]],
  ])('has the size of %j', (attributes, content, size) => {
    const inside = content || '<rect width="9" height="9"/>';
    const [screen] = readText(`<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${inside}</svg>`).mockup
      .screens;
    expect([screen!.width, screen!.height]).toEqual(size);
  });

  it('keeps groups, names, links and hints', () => {
    const reading = readInside(
      '<g id="menu" role="navigation" class="wide dark"><a href="#there" aria-label="Go there"><rect width="9" height="9"/></a></g>',
    );
    expect(layerNamed(reading, 'menu').hints).toMatchObject({
      role: 'navigation',
      classes: ['wide', 'dark'],
    });
    expect(layerNamed(reading, 'Go-there').hints).toMatchObject({ href: '#there', label: 'Go there' });
  });

  it('takes numbered names for none', () => {
    expect(
      layerNamed(readInside('<g id="g12"><rect id="path-3" width="9" height="9"/></g>'), 'group').sourceName,
    ).toBeNull();
  });

  it('gives like-named layers keys of their own', () => {
    const keys = [
      ...layersOf(readInside('<g><rect width="1" height="1"/><rect width="2" height="2"/></g>').mockup),
    ].map((layer) => layer.id);
    expect(keys).toEqual([idAt('/group'), idAt('/group/rect'), idAt('/group/rect~2')]);
  });

  it('draws a symbol through use, in the size that use gives', () => {
    const reading = readInside(
      '<symbol id="s" viewBox="0 0 10 10"><circle cx="5" cy="5" r="5"/></symbol><use href="#s" x="20" y="10" width="40" height="40"/>',
    );
    const group = layersOf(reading.mockup)[0] as GroupLayer;
    expect(group.transform).toEqual([1, 0, 0, 1, 20, 10]);
    expect((group.layers[0] as GroupLayer).transform).toEqual([4, 0, 0, 4, 0, 0]);
  });

  it('ends on a use of itself and on copies without end', () => {
    expect(codesOf(readInside('<g id="a"><rect width="9" height="9"/><use href="#a"/></g>'))).toContain(
      'reference-cycle',
    );
    const levels = Array.from(
      { length: 12 },
      (_, at) => `<g id="l${at + 1}x">${`<use href="#l${at}x"/>`.repeat(10)}</g>`,
    );
    const bomb = readInside(
      `<defs><rect id="l0x" width="1" height="1"/>${levels.join('')}</defs><use href="#l12x"/>`,
    );
    expect(codesOf(bomb)).toContain('too-many-copies');
  });

  it('chooses one child of a switch', () => {
    const reading = readInside(
      '<switch><rect id="fr" systemLanguage="fr" width="1" height="1"/><rect id="en" systemLanguage="en" width="2" height="2"/><rect id="no" width="3" height="3"/></switch>',
    );
    expect(layersOf(reading.mockup).map((layer) => layer.sourceName)).toEqual([null, 'en']);
  });

  it('cuts nested viewports', () => {
    const layer = [
      ...layersOf(
        readInside(
          '<svg x="10" y="10" width="50" height="50" viewBox="0 0 100 100"><rect width="999" height="9"/></svg>',
        ).mockup,
      ),
    ][0]!;
    expect(layer.clip).toMatchObject({ outline: { box: { x: 0, y: 0, width: 100, height: 100 } } });
  });

  it('reads clips of plain shapes, and keeps others as they were drawn', () => {
    const reading = readInside(
      '<clipPath id="a"><circle r="5"/></clipPath><clipPath id="b"><circle r="5"/><circle cx="9" r="5"/></clipPath><clipPath id="c"><text>x</text></clipPath><clipPath id="d"><rect width="9" height="0"/></clipPath><rect id="z" width="9" height="9" clip-path="url(#c)"/><g id="gone"><rect width="9" height="9" clip-path="url(#d)"/></g><rect id="x" width="9" height="9" clip-path="url(#a)"/><rect id="y" width="9" height="9" clip-path="url(#b)"/>',
    );
    expect(layerNamed(reading, 'x').clip).toMatchObject({ kind: 'outline', outline: { kind: 'ellipse' } });
    expect(layerNamed(reading, 'y').clip).toMatchObject({ outline: { kind: 'path', rule: 'nonzero' } });
    expect(layerNamed(reading, 'z').clip).toEqual({ kind: 'defined', definition: 'c' });
    // A shape without a size lets nothing through (SVG 2, §9.2).
    const inside = (layerNamed(reading, 'gone') as GroupLayer).layers[0];
    expect(inside?.clip).toMatchObject({ outline: { box: { width: 0, height: 0 } } });
  });

  it('takes a mask of several white boxes for a clip of all of them', () => {
    const reading = readInside(
      `<mask id="a"><rect width="5" height="5" fill="#fff"/><rect width="0" height="0" x="9" fill="#fff"/></mask>
      <mask id="b"><rect width="5" height="5" fill="#fff"/><rect x="20" width="5" height="5" fill="#fff"/></mask>
      <mask id="c"><rect width="5" height="5" fill="#fff"/><rect x="20" width="5" height="5" fill="#fff" opacity=".5"/></mask>
      <rect id="x" width="9" height="9" mask="url(#a)"/><rect id="y" width="40" height="9" mask="url(#b)"/><rect id="z" width="40" height="9" mask="url(#c)"/>`,
    );
    expect(layerNamed(reading, 'x').clip).toMatchObject({ outline: { kind: 'rect', box: { width: 5 } } });
    expect(layerNamed(reading, 'y').clip).toMatchObject({ outline: { kind: 'path' } });
    expect(layerNamed(reading, 'z')).toMatchObject({ clip: null, mask: 'c' });
  });

  it('takes a mask of one white box for a clip, and keeps others', () => {
    const reading = readInside(
      '<mask id="a"><rect width="5" height="5" fill="#fff"/></mask><mask id="b"><rect width="5" height="5" fill="#888"/></mask><rect id="x" width="9" height="9" mask="url(#a)"/><rect id="y" width="9" height="9" mask="url(#b)"/>',
    );
    expect(layerNamed(reading, 'x')).toMatchObject({ mask: null, clip: { kind: 'outline' } });
    expect(layerNamed(reading, 'y')).toMatchObject({ mask: 'b', clip: null });
  });

  it('turns about the origin that CSS says', () => {
    const layer = shape(
      readInside('<rect width="10" height="10" style="transform:rotate(90deg);transform-origin:5px 5px"/>'),
    );
    layer.transform.forEach((value, at) => expect(value).toBeCloseTo([0, 1, -1, 0, 10, 0][at]!));
  });
});

describe('bitmaps', () => {
  it('keeps equal embedded bitmaps once', () => {
    const reading = readInside(
      `<image href="${PIXEL}" width="20" height="10"/><image xlink:href="${PIXEL.replace('image/png', 'image/jpeg')}" width="4" height="2"/>`,
    );
    expect(Object.values(reading.mockup.bitmaps)).toEqual([
      { id: 'bitmap-1', type: 'image/png', width: 2, height: 1 },
    ]);
    expect(reading.assets.get('bitmap-1')?.length).toBe(73);
  });

  it('fits a bitmap into its frame', () => {
    const reading = readInside(`<image href="${PIXEL}" width="20" height="20"/>`);
    expect(only(reading, 'bitmap').box).toEqual({ x: 0, y: 5, width: 20, height: 10 });
  });

  it('fetches nothing, and reports outside references', () => {
    const reading = readInside(
      '<rect width="9" height="9"/><image href="https://example.test/a.png" width="9" height="9"/><image href="/etc/passwd" width="9" height="9"/><image href="data:image/png;base64,AAAA" width="9" height="9"/>',
    );
    expect(codesOf(reading)).toEqual(['outside-reference', 'outside-reference', 'bitmap-broken']);
  });
});

describe('refusals', () => {
  const refuse = (svg: string | Uint8Array): string => {
    try {
      if (typeof svg === 'string') readText(svg);
      else readBytes(svg);
    } catch (error) {
      if (error instanceof ReadError) return error.message;
      throw error;
    }
    throw new Error('It was read.');
  };

  it.each([
    ['', 'The file is empty; choose a mockup with something in it.'],
    ['   \n', 'The file is empty; choose a mockup with something in it.'],
    [
      'just words',
      'Orden cannot read this file: its bytes are no mockup. Choose an SVG, OpenRaster, PNG, JPEG or WebP mockup.',
    ],
    [
      '<html><body/></html>',
      'This is not an SVG file (its outermost element is <html>); choose an SVG mockup.',
    ],
    [
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"/>',
      'There is nothing to draw in this file; choose a mockup with at least one visible layer.',
    ],
    [
      '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect display="none" width="4" height="4"/></svg>',
      'There is nothing to draw in this file; choose a mockup with at least one visible layer.',
    ],
    [
      '<svg xmlns="http://www.w3.org/2000/svg" width="1e9" height="9"><rect width="4" height="4"/></svg>',
      'The screen has no usable size (1e9); give it a width and a height between 1 and 32768 px.',
    ],
  ])('%j', (svg, message) => {
    expect(refuse(svg)).toBe(message);
  });

  it('refuses more than 64 MB', () => {
    expect(refuse(`<svg>${' '.repeat(64 * 1024 * 1024)}`)).toBe(
      'The file has 65 MB; Orden reads at most 64 MB. Split the mockup or shrink its bitmaps.',
    );
  });

  it('leaves out scripts, handlers and foreign content, and says so', () => {
    const reading = readInside(
      '<script>alert(1)</script><rect width="9" height="9" onclick="alert(2)"/><foreignObject><b/></foreignObject><a href="javascript:alert(3)"><rect width="2" height="2"/></a>',
    );
    expect(codesOf(reading)).toEqual(
      expect.arrayContaining(['script-removed', 'handler-removed', 'foreign-content']),
    );
    expect(JSON.stringify(reading.mockup)).not.toMatch(/alert/);
  });

  it('reads UTF-16 by its mark', () => {
    const text =
      '\ufeff<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><rect id="å" width="4" height="4"/></svg>';
    expect(layerNamed(readBytes(new Uint8Array(Buffer.from(text, 'utf16le'))), 'å').kind).toBe('shape');
  });
});
