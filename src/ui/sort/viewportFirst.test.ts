import { idEnding } from '../../../tests/support/ids';
import { readText } from '../../../tests/support/mockups';
import { pagesFromDecisions } from '../../core/convert';
import { TARGETS } from '../../core/emit/targets';
import { treeOf } from '../../core/mockup/tree';
import { measureMockup } from '../../core/mockup/bounds';
import { createMemo, usingMemo } from '../../core/mockup/memoize';
import type { LayerId } from '../../core/mockup/layer';
import { ARRANGEMENTS, type Arrangement } from '../../core/page/frame';
import { decide } from '../../core/sort/decide/decide';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { Tag, Tags } from '../../core/sort/tag';
import { viewportFirst, type ViewportFirst } from './viewportFirst';

const BERTHS = 120;
const COLUMNS = 6;
/** The lower edge of the visible area, px. */
const SEEN = 250;

function berth(at: number): string {
  const [x, y] = [20 + (at % COLUMNS) * 130, 20 + Math.floor(at / COLUMNS) * 90];
  return `<g id="berth-${at}"><rect x="${x}" y="${y}" width="110" height="70" rx="6" fill="#dde6ee"/><text x="${x + 12}" y="${y + 30}" font-family="Inter" font-size="14">Berth ${at}</text></g>`;
}

const { mockup: read } = readText(
  `<svg xmlns="http://www.w3.org/2000/svg" width="800" height="1840"><g id="berths"><rect width="800" height="1840" fill="#f4f1ea"/>${Array.from({ length: BERTHS }, (_, at) => berth(at)).join('')}</g></svg>`,
);
const mockup = applyStructuralTags(read, new Map());
const measures = measureMockup(mockup);
const memo = createMemo();
/** As in the worker: decisions that an edit does not change stay the same. */
const decideOn = (tags: Tags) =>
  usingMemo(memo, () => decide(mockup, measures, tags, TARGETS.html.capabilities));
const before = decideOn(new Map());
/** Behind the words of the first berth. */
const plate = idEnding(mockup, '/berth-0/rect');
const pathOf = (id: LayerId) => treeOf(mockup).layer(id)!.path;
const [screen] = mockup.screens;
const topOf = (key: LayerId) => measures.get(screen!.id)!.get(key)?.painted?.y ?? 0;
const isSeen = (key: LayerId) => topOf(key) < SEEN;

function shape(
  { decisions, waiting }: Pick<ViewportFirst, 'decisions'> & Partial<ViewportFirst>,
  tags: Tags,
  arrangement: Arrangement,
) {
  const options = { arrangement, target: 'html' } as const;
  return usingMemo(memo, () =>
    pagesFromDecisions(
      { mockup, measures, decisions },
      { assets: new Map(), tags, options, outliner: null, waiting },
      () => {},
    ),
  );
}

const TAG = /<\w+[^>]* data-layer="([^"]+)"[^>]*>/g;

/** The code of the edited layer, and the start tag of every layer that is completely visible. */
function shown(made: ReturnType<typeof shape>) {
  return usingMemo(memo, () => {
    const { parts } = TARGETS.html.preview(made.pages[0]!, { ...made, settings: {} });
    const tags = parts.flatMap(({ html }) => [...html().matchAll(TAG)]);
    const seen = tags
      .map(([tag, key = '']) => [key, tag] as const)
      .filter(([key]) => pathOf(key).includes('/berth-') && isSeen(key));
    return { code: TARGETS.html.fragment({ ...made, settings: {} }, plate), seen: new Map(seen) };
  });
}

const afterEdit = (tag: Tag) => decideOn(new Map([[plate, tag]]));

describe.each(ARRANGEMENTS)('arranged %s', (arrangement) => {
  it.each<Tag>([{ outcome: 'aside' }, { outcome: 'picture' }, { role: 'button' }])(
    'what is seen of %j, which all that are alike take over, is at first as it will be',
    (tag) => {
      const tags = new Map([[plate, tag]]);
      const after = afterEdit(tag);
      const mixed = viewportFirst({ mockup, decisions: after }, before, isSeen)!;
      shape({ decisions: before }, new Map(), arrangement);
      const first = shown(shape(mixed, tags, arrangement));
      const whole = shown(shape({ decisions: after }, tags, arrangement));
      expect(first.seen.size).toBeGreaterThan(15);
      expect(first).toEqual(whole);
    },
  );
});

it('layers out of view keep their state', () => {
  const after = afterEdit({ outcome: 'aside' });
  const { decisions: mixed, waiting } = viewportFirst({ mockup, decisions: after }, before, isSeen)!;
  expect([...mixed.keys()]).toEqual([...after.keys()]);
  const plates = [...mixed].filter(([key]) => /berth-\d+\/rect$/.test(pathOf(key)));
  expect(plates).toHaveLength(BERTHS);
  for (const [key, { outcome }] of plates) expect(outcome).toBe(isSeen(key) ? 'aside' : 'element');
  const late = plates.map(([key]) => key).filter((key) => !isSeen(key));
  expect([...waiting].filter((key) => pathOf(key).endsWith('/rect'))).toEqual(late);
  expect([...waiting].filter((key) => !pathOf(key).endsWith('/rect'))).toEqual(
    late.map((key) => treeOf(mockup).parent(key)),
  );
});

it('the page is built once when little could wait, or a layer is new', () => {
  expect(
    viewportFirst({ mockup, decisions: afterEdit({ outcome: 'aside' }) }, before, () => true),
  ).toBeNull();
  expect(viewportFirst({ mockup, decisions: before }, before, () => false)).toBeNull();
  const fewer = new Map([...before].slice(0, -1));
  expect(viewportFirst({ mockup, decisions: afterEdit({ outcome: 'aside' }) }, fewer, isSeen)).toBeNull();
});

it('a layer that absorbs others does not wait', () => {
  const berths = idEnding(mockup, '/berths');
  const after = decideOn(new Map([[berths, { outcome: 'picture' }]]));
  expect(after.get(plate)?.within).toBe(berths);
  expect(viewportFirst({ mockup, decisions: after }, before, isSeen)).toBeNull();
});
