import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';
import { walkNodes } from '../walk';

function built(content: string) {
  const conversion = convertReading(readInside(content), 'nested');
  return { css: emitted(conversion, 'styles.css'), nodes: walkNodes(conversion.pages[0]!.children) };
}

const words = (x: number, y: number, text: string, more = '') =>
  `<text x="${x}" y="${y}" font-size="12" font-family="Commissioner" ${more}>${text}</text>`;

describe('the same words drawn more than once', () => {
  const blur = '<filter id="b"><feGaussianBlur stdDeviation="1.5"/></filter>';
  const sund = (more: string, at = { x: 20, y: 40 }) => words(at.x, at.y, 'To Sund', more);

  it('become words with a shadow, the topmost first', () => {
    const { css, nodes } = built(
      blur +
        sund('fill="#010101" fill-opacity=".8" filter="url(#b)"', { x: 20, y: 41 }) +
        sund('fill="#010101" fill-opacity=".3"', { x: 20, y: 41 }) +
        sund('fill="#fff"'),
    );
    expect(nodes.map(({ kind }) => kind)).toEqual(['text']);
    expect(nodes[0]!.merged).toHaveLength(2);
    // A blur radius is twice the deviation (CSS Text Decoration 3, §4).
    expect(css).toContain('text-shadow: 0 1px rgb(1 1 1 / 30%), 0 1px 3px rgb(1 1 1 / 80%)');
  });

  it('have the shadow in their own px when they are scaled', () => {
    const small = (y: number, more: string) =>
      `<text transform="scale(.1)" x="200" y="${y}" font-size="110" text-rendering="geometricPrecision" ${more}>Sund</text>`;
    expect(built(small(410, 'fill-opacity=".5"') + small(400, '')).css).toContain(
      'text-shadow: 0 10px rgb(0 0 0 / 50%)',
    );
  });

  it.each([
    ['farther apart', sund('fill="#999"', { x: 20, y: 50 }) + sund('')],
    ['in another size', words(20, 41, 'To Sund', 'style="font-size:13px"') + sund('')],
    ['of other letters', words(20, 41, 'To Holm') + sund('')],
  ])('stay by themselves where they are %s', (_, content) => {
    expect(built(content).nodes).toHaveLength(2);
  });
});

describe('an overlay across adjacent boxes', () => {
  const shine = `<linearGradient id="s" x2="0" y2="1"><stop stop-color="#fff" stop-opacity=".5"/><stop offset="1" stop-opacity=".2"/></linearGradient>`;
  const tiles = '<rect width="60" height="20" fill="#555"/><rect x="60" width="40" height="20" fill="#c40"/>';

  it('is painted by each of the boxes', () => {
    const { css, nodes } = built(`${shine}${tiles}<rect width="100" height="20" fill="url(#s)"/>`);
    expect(nodes).toHaveLength(2);
    expect(nodes[0]!.merged).toHaveLength(1);
    expect(css.match(/linear-gradient\(180deg, [^;]*\), #(555|c40);/g)).toHaveLength(2);
  });

  it.each([
    ['it is not the same across', shine.replace('x2="0" y2="1"', ''), tiles],
    ['they leave a gap', shine, tiles.replace('x="60" width="40"', 'x="62" width="38"')],
    ['they are not as high', shine, tiles.replace('width="40" height="20"', 'width="40" height="18"')],
  ])('stays a box of its own where %s', (_, gradient, boxes) => {
    expect(built(`${gradient}${boxes}<rect width="100" height="20" fill="url(#s)"/>`).nodes).toHaveLength(3);
  });
});
