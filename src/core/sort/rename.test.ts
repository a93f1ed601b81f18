import { collidingNames, NO_RENAMING, renamed } from './rename';

describe('renaming', () => {
  it.each([
    [{ find: 'sailing', replace: 'Überfahrt' }, 'uberfahrt-1'],
    [{ prefix: 'list/', suffix: ' over' }, 'list/sailing-1-over'],
    [{ find: '-1' }, 'sailing'],
    [{ find: 'sailing-1' }, 'sailing-1'],
    [{}, 'sailing-1'],
  ])('%j', (renaming, expected) => {
    expect(renamed('sailing-1', { ...NO_RENAMING, ...renaming })).toBe(expected);
  });

  it('detects duplicate names', () => {
    expect([...collidingNames(['a', 'b', 'a', 'c'], ['c', 'd'])]).toEqual(['a', 'c']);
  });
});
