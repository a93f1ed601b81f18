import type { PagePiece, PagePieces } from '../../core/emit/preview';
import { pageDelta, applyPageDelta, type ShownPage, type SentPage } from './pageDelta';

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

/** Sends one page after the other, as the worker and the tab do. */
function messages() {
  let sent: SentPage | null = null;
  let shown: ShownPage | null = null;
  return (page: PagePieces, canWait: (id: string) => boolean = () => false, screen = SCREEN) => {
    const made = pageDelta(sent, screen, page, ({ id }) => canWait(id));
    sent = made.sent;
    shown = applyPageDelta(shown, made.delta);
    const words = Object.fromEntries(shown.parts.map(({ id, html }) => [id, html]));
    const { changed, order } = made.delta;
    return { words, urgent: shown.urgent, changed: [...changed.keys()], isMoved: order !== null };
  };
}

it('changed pieces are sent', () => {
  const tell = messages();
  expect(tell(pageOf({ mole: 'a', quay: 'b' }))).toMatchObject({ changed: ['mole', 'quay'], urgent: null });
  const { words, changed } = tell(pageOf({ mole: 'a', quay: 'c' }));
  expect(words).toEqual({ mole: 'a', quay: 'c' });
  expect(changed).toEqual(['quay']);
});

it('the order of the pieces is sent when it changes', () => {
  const tell = messages();
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

it('deferred pieces are sent with the next complete page', () => {
  const tell = messages();
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

it('new pieces, and pieces of another kind, are not deferred', () => {
  const tell = messages();
  const wait = () => true;
  expect(tell(pageOf({ mole: 'a', quay: 'b' }), wait).words).toEqual({ mole: 'a', quay: 'b' });
  expect(tell(pageOf({ ferry: 'c', quay: 'B' }), wait).words).toEqual({ ferry: 'c', quay: 'b' });
  const { parts, ...around } = pageOf({ ferry: 'C', quay: 'B' });
  const opened = { ...around, parts: parts.map((part) => ({ ...part, isOpen: part.id === 'ferry' })) };
  expect(tell(opened, wait).words).toEqual({ ferry: 'C', quay: 'b' });
  expect(tell(pageOf({ mole: 'D' }), wait, '/wheelhouse').words).toEqual({ mole: 'D' });
});
