import type { Hold, Standing } from '../../page/node';
import { standingDeclarations } from './placing';

/** A box of 100 px, held in a place around it. */
function held(x: Hold, before: number, after: number): Readonly<Record<string, string>> {
  const holds = { x, y: 'start', right: after, bottom: 0, wide: 'set', high: 'set' } as const;
  const standing: Standing = { kind: 'fixed', x: before, y: 7, width: 100, height: 40, turn: null, holds };
  return Object.fromEntries(standingDeclarations(standing));
}

describe('what is held in a box that may grow', () => {
  it.each<[Hold, Readonly<Record<string, string>>]>([
    ['start', { left: '10px', width: '100px' }],
    ['end', { right: '11px', width: '100px' }],
    ['both', { left: '10px', width: 'calc(100% - 21px)' }],
  ])('keeps its distance to the %s', (hold, expected) => {
    expect(held(hold, 10, 11)).toMatchObject({ position: 'absolute', top: '7px', ...expected });
  });

  it('stands about the middle where it was drawn, to a part of a px', () => {
    // By hand: in 121 px the middle is at 60.5 px, and the box begins at 10 px.
    expect(held('middle', 10, 11)).toMatchObject({ left: 'calc(50% - 50.5px)', width: '100px' });
    expect(held('middle', 10, 10)).toMatchObject({ left: 'calc(50% - 50px)' });
  });
});
