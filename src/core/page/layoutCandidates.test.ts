import { convertReading, readInside } from '../../../tests/support/mockups';
import { layersOf } from '../mockup/walk';
import type { Contents } from '../sort/vocabulary';
import { layoutCandidates } from './layoutCandidates';

const berth = (at: number, x: number, y: number) =>
  `<g id="berth${at}"><rect x="${x}" y="${y}" width="50" height="20" fill="#fff"/><text x="${x + 6}" y="${y + 14}" font-size="10" font-family="Commissioner">Holm</text></g>`;
const pier = (places: readonly (readonly [number, number])[]) =>
  `<g id="pier"><rect width="200" height="80" fill="#eee"/>${places.map(([x, y], at) => berth(at, x, y)).join('')}</g>`;
const ROW = pier([
  [8, 8],
  [68, 8],
  [128, 8],
]);

function candidates(content: string, contents?: Contents, arrangement: 'flow' | 'nested' = 'flow') {
  const reading = readInside(content);
  const { id } = layersOf(reading.mockup).find(({ path }) => path.endsWith('/pier'))!;
  const tags = new Map(contents ? [[id, { contents }]] : []);
  const { pages, decisions, findings } = convertReading(reading, arrangement, tags);
  const all = layoutCandidates(pages, decisions, id);
  return { all, of: (wanted: Contents) => all.find((each) => each.contents === wanted), findings };
}

describe('the layouts that a container could have', () => {
  it('say what each of them costs, and which one it has', () => {
    const { all, of } = candidates(ROW);
    expect(all.filter(({ isChosen }) => isChosen).map(({ contents }) => contents)).toHaveLength(1);
    expect(of('row')).toMatchObject({ moved: 0, farthest: 0 });
    // The first stays; the others go below it.
    expect(of('column')).toMatchObject({ moved: 2, isChosen: false });
    expect(of('column')!.farthest).toBeCloseTo(Math.hypot(120, 60), 5);
    expect(of('nested')).toMatchObject({ numbers: 12, moved: 0 });
    expect(of('exact')!.numbers).toBeGreaterThanOrEqual(of('nested')!.numbers);
    expect(of('grid')!.numbers).toBeLessThan(of('nested')!.numbers);
  });

  it('are the same whichever of them a person chose', () => {
    const before = candidates(ROW);
    for (const contents of ['column', 'nested', 'exact'] as const) {
      const after = candidates(ROW, contents);
      expect(after.of(contents)!.isChosen).toBe(true);
      const moves = (list: typeof after.all) =>
        list.map(({ moved, farthest }) => [moved, Math.round(farthest)]);
      expect(moves(after.all)).toEqual(moves(before.all));
    }
  });

  it('are a row for a column, too, and two columns for either', () => {
    const { of } = candidates(
      pier([
        [8, 4],
        [8, 30],
        [8, 56],
      ]),
    );
    expect(of('column')!.moved).toBe(0);
    expect(of('row')).toMatchObject({ moved: 2, farthest: Math.hypot(112, 52) });
    expect(of('grid')!.moved).toBe(2);
  });

  it('move what is seen alone', () => {
    const hidden = ROW.replace('id="berth1"', 'id="berth1 [hidden]"');
    const { of, findings } = candidates(hidden, 'column');
    expect(of('column')).toMatchObject({ isChosen: true, moved: 1 });
    expect(findings.filter(({ code }) => code === 'moved-as-said')).toMatchObject([{ data: { count: 1 } }]);
  });

  it('are none at fixed places', () => {
    expect(candidates(ROW, undefined, 'nested').all).toEqual([]);
  });

  it('are reported where a chosen one moves what is drawn', () => {
    const { findings } = candidates(ROW, 'column');
    expect(findings.filter(({ code }) => code === 'moved-as-said')).toMatchObject([
      { data: { contents: 'in a column', count: 2, px: 134 } },
    ]);
    expect(candidates(ROW, 'grid').findings.map(({ code }) => code)).not.toContain('moved-as-said');
  });
});

it('what no line separates stands at coordinates, and a finding says so', () => {
  const { findings } = candidates(
    pier(Array.from({ length: 9 }, (_, at) => [8 + at * 14, 4 + at * 6] as const)),
  );
  expect(findings.map(({ code }) => code)).toContain('at-coordinates');
});
