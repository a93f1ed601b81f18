import fc from 'fast-check';
import { idAt } from '../../../tests/support/ids';
import { convertReading, readInside } from '../../../tests/support/mockups';
import { measureMockup } from '../mockup/bounds';
import { softEdges } from './alignEdges';

function softIn(content: string, tag: { readonly align?: 'shapes' | 'all' }) {
  const { mockup, findings } = convertReading(
    readInside(`<g id="mast">${content}</g>`),
    'fixed',
    new Map([[idAt('/mast'), tag]]),
  );
  const [screen] = mockup.screens;
  return {
    soft: softEdges(screen!.root, measureMockup(mockup).get(screen!.id)!, mockup.faces),
    layers: screen!.root,
    moved: findings.filter(({ code }) => code === 'edges-aligned'),
  };
}

describe('soft edges', () => {
  it('are listed with their distance to a whole px', () => {
    const { soft, moved } = softIn(
      '<rect x="1.25" y="2" width="10" height="4"/><rect x="20" y="20" width="4" height="4"/>',
      {},
    );
    expect(soft.map(({ off, box }) => [off, box.x])).toEqual([[0.25, 1.25]]);
    expect(moved).toEqual([]);
  });

  it('of an odd line are those of the stroke, not of its middle', () => {
    expect(
      softIn('<rect x="1.5" y="2.5" width="10" height="4" fill="none" stroke="#000"/>', {}).soft,
    ).toEqual([]);
    expect(
      softIn('<rect x="1" y="2" width="10" height="4" fill="none" stroke="#000"/>', {}).soft,
    ).toHaveLength(1);
  });

  it('are on whole px when they are aligned, and a side changes by less than a px', () => {
    const side = fc.double({ min: 1, max: 60, noNaN: true });
    const scale = fc.constantFrom(1, 0.5, 1.5, 2);
    fc.assert(
      fc.property(side, side, side, side, scale, fc.boolean(), (x, y, width, height, by, isLine) => {
        const stroke = isLine ? ' stroke="#000" stroke-width="1"' : '';
        const rect = `<g transform="scale(${by})"><rect x="${x}" y="${y}" width="${width}" height="${height}"${stroke}/></g>`;
        // Strokes that are scaled to a part of a px have no sharp inner edge, but a sharp outer one.
        const { soft, moved } = softIn(rect, { align: 'shapes' });
        expect(soft).toEqual([]);
        for (const { data } of moved) expect(Number(data.by)).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    );
  });

  it('of texts are moved only when they are meant, too', () => {
    const words = '<text x="3.3" y="20.4" font-family="Commissioner" font-size="14">Ahoy</text>';
    const matrixOf = (align: 'shapes' | 'all') => {
      const { layers } = softIn(words, { align });
      return JSON.stringify(layers);
    };
    expect(matrixOf('shapes')).not.toBe(matrixOf('all'));
  });
});
