import type { Pin } from '../../page/place';
import type { SharedPlacement } from '../../page/sharedPlacement';
import { placementDeclarations } from './placing';

/** A box of 100 px, pinned in a parent. */
function held(x: Pin, before: number, after: number): Readonly<Record<string, string>> {
  const pins = { x, y: 'start', right: after, bottom: 0, widthMode: 'drawn', heightMode: 'drawn' } as const;
  const standing: SharedPlacement = {
    kind: 'fixed',
    x: before,
    y: 7,
    width: 100,
    height: 40,
    linear: null,
    pins,
  };
  return Object.fromEntries(placementDeclarations(standing));
}

describe('a pinned box in a parent that may grow', () => {
  it.each<[Pin, Readonly<Record<string, string>>]>([
    ['start', { left: '10px', width: '100px' }],
    ['end', { right: '11px', width: '100px' }],
    ['both', { left: '10px', width: 'calc(100% - 21px)' }],
  ])('keeps its distance to the %s', (hold, expected) => {
    expect(held(hold, 10, 11)).toMatchObject({ position: 'absolute', top: '7px', ...expected });
  });

  it('is centred where it was drawn, to a fraction of a px', () => {
    // By hand: in 121 px the middle is at 60.5 px, and the box begins at 10 px.
    expect(held('middle', 10, 11)).toMatchObject({ left: 'calc(50% - 50.5px)', width: '100px' });
    expect(held('middle', 10, 10)).toMatchObject({ left: 'calc(50% - 50px)' });
  });
});
