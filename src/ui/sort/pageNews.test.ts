import type { PagePiece, PagePieces } from '../../core/emit/html/pagePieces';
import { pageNews, withPageNews, type ShownPage, type ToldPage } from './pageNews';

const SCREEN = '/harbour';

function pageOf(words: Readonly<Record<string, string>>): PagePieces {
  const parts = Object.entries(words).map(([id, word]): PagePiece => ({
    id,
    within: null,
    isOpen: false,
    layer: id,
    html: () => word,
  }));
  return { rules: ['p { margin: 0 }'], screen: '<main></main>', parts };
}

/** Tells one page after the other, as the worker and the tab do. */
function telling() {
  let told: ToldPage | null = null;
  let shown: ShownPage | null = null;
  return (page: PagePieces, canWait: (id: string) => boolean = () => false, screen = SCREEN) => {
    const made = pageNews(told, screen, page, ({ id }) => canWait(id));
    told = made.told;
    shown = withPageNews(shown, made.news);
    const words = Object.fromEntries(shown.parts.map(({ id, html }) => [id, html]));
    const { changed, order } = made.news;
    return { words, urgent: shown.urgent, changed: [...changed.keys()], isMoved: order !== null };
  };
}

it('pieces that are otherwise are news', () => {
  const tell = telling();
  expect(tell(pageOf({ mole: 'a', quay: 'b' }))).toMatchObject({ changed: ['mole', 'quay'], urgent: null });
  const { words, changed } = tell(pageOf({ mole: 'a', quay: 'c' }));
  expect(words).toEqual({ mole: 'a', quay: 'c' });
  expect(changed).toEqual(['quay']);
});

it('where the pieces stand is news where one stands elsewhere', () => {
  const tell = telling();
  expect(tell(pageOf({ mole: 'a', quay: 'b' })).isMoved).toBe(true);
  expect(tell(pageOf({ mole: 'a', quay: 'c' }))).toMatchObject({
    words: { mole: 'a', quay: 'c' },
    isMoved: false,
  });
  const { words, isMoved } = tell(pageOf({ quay: 'c', mole: 'a' }));
  expect(Object.keys(words)).toEqual(['quay', 'mole']);
  expect(isMoved).toBe(true);
  expect(tell(pageOf({ quay: 'c' })).words).toEqual({ quay: 'c' });
  expect(tell(pageOf({ quay: 'c' }), undefined, '/wheelhouse').isMoved).toBe(true);
});

it('what can wait is told with the next page that waits for nothing', () => {
  const tell = telling();
  tell(pageOf({ mole: 'a', quay: 'b', ferry: 'c' }));
  const page = pageOf({ mole: 'A', quay: 'B', ferry: 'C' });
  const first = tell(page, (id) => id !== 'quay');
  expect(first.words).toEqual({ mole: 'a', quay: 'B', ferry: 'c' });
  expect(first.urgent).toEqual(new Set(['quay']));
  const rest = tell(page);
  expect(rest).toEqual({
    words: { mole: 'A', quay: 'B', ferry: 'C' },
    urgent: null,
    changed: ['mole', 'ferry'],
    isMoved: false,
  });
});

it('what was never told, or becomes another kind of piece, does not wait', () => {
  const tell = telling();
  const wait = () => true;
  expect(tell(pageOf({ mole: 'a', quay: 'b' }), wait).words).toEqual({ mole: 'a', quay: 'b' });
  expect(tell(pageOf({ ferry: 'c', quay: 'B' }), wait).words).toEqual({ ferry: 'c', quay: 'b' });
  const { parts, ...around } = pageOf({ ferry: 'C', quay: 'B' });
  const opened = { ...around, parts: parts.map((part) => ({ ...part, isOpen: part.id === 'ferry' })) };
  expect(tell(opened, wait).words).toEqual({ ferry: 'C', quay: 'b' });
  expect(tell(pageOf({ mole: 'D' }), wait, '/wheelhouse').words).toEqual({ mole: 'D' });
});
