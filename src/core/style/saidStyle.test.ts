import { idAt } from '../../../tests/support/ids';
import { convertReading, readInside } from '../../../tests/support/mockups';
import { SHEET } from '../mockup/identity';
import type { Tag } from '../sort/tag';
import { readStyleFile, styleFile } from './styleFile';

const BERTHS = `
  <rect id="north" width="40" height="20" rx="3" fill="#246"/>
  <rect id="south" y="30" width="40" height="20" rx="3" fill="#246"/>
  <rect id="west" y="60" width="40" height="20" rx="3" fill="#246"/>
  <rect id="quay" x="60" width="40" height="20" fill="#a52"/>`;

function classesWith(tags: Readonly<Record<string, Tag>>) {
  const said = new Map(Object.entries(tags).map(([name, tag]) => [name === '' ? SHEET.id : idAt(name), tag]));
  const { pages, sheet } = convertReading(readInside(BERTHS), 'nested', said);
  return Object.fromEntries(pages[0]!.children.map((node) => [node.path, sheet.classOf(node)?.name]));
}

describe('what a person says of classes', () => {
  const plain = classesWith({});
  const shared = plain['/north']!;

  it('is nothing: equal looks share a class', () => {
    expect(plain).toEqual({ '/north': shared, '/south': shared, '/west': shared, '/quay': 'quay' });
  });

  it('splits layers off, together where they have one name', () => {
    const ownClass = 'moored';
    expect(classesWith({ '/south': { ownClass }, '/west': { ownClass } })).toMatchObject({
      '/north': 'north',
      '/south': 'moored',
      '/west': 'moored',
    });
  });

  it('merges a class into another one: its layers take the look', () => {
    const merged = classesWith({ '/quay': { looksLike: idAt('/north') } });
    expect(new Set(Object.values(merged)).size).toBe(1);
  });

  it('keeps the own look where the other layer is gone, or is of another kind', () => {
    expect(classesWith({ '/quay': { looksLike: 'gone' } })).toEqual(plain);
  });

  it('forbids names', () => {
    const { '/quay': name } = classesWith({ '': { forbidden: ['quay'] } });
    expect(name).toBeDefined();
    expect(name).not.toBe('quay');
  });

  it('goes along in a style file', () => {
    const { mockup } = readInside(BERTHS);
    const tags = new Map<string, Tag>([
      [SHEET.id, { forbidden: ['quay'] }],
      [idAt('/south'), { ownClass: 'moored' }],
      [idAt('/quay'), { looksLike: idAt('/north') }],
    ]);
    const file: unknown = JSON.parse(JSON.stringify(styleFile(mockup, tags)));
    expect(readStyleFile(file, mockup)).toEqual({ tags, refused: [] });
  });
});

describe('a sample that gives its place', () => {
  it('puts its wearers as far from the corner of their group', () => {
    const { pages } = convertReading(
      readInside(`
        <g data-name="Looks [style]"><g data-name="card">
          <rect x="200" y="10" width="100" height="60" fill="#eee"/>
          <rect data-name="badge [data-holds=place]" x="280" y="14" width="16" height="8" fill="#a00"/></g></g>
        <g data-name="card" data-tags=".card"><rect width="120" height="80" fill="#eee"/>
          <rect data-name="flag" data-tags=".badge" x="9" y="30" width="30" height="30" fill="#ccc"/></g>`),
    );
    const [card] = pages[0]!.children;
    const flag = card?.kind === 'box' ? card.children.at(-1) : undefined;
    expect(flag?.place).toMatchObject({ x: 80, y: 4, width: 16, height: 8 });
  });
});
