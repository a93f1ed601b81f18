import { readText } from '../../../tests/support/mockups';
import { changedMap, differing, withGroups } from './differing';

it('keys differ whose values do, and those that only one has', () => {
  const before = new Map<string, number | undefined>([
    ['kept', 1],
    ['other', 2],
    ['gone', 3],
    ['nothing', undefined],
  ]);
  const now = new Map<string, number | undefined>([
    ['kept', 1],
    ['other', 20],
    ['nothing', undefined],
    ['new', undefined],
  ]);
  expect(differing(before, now)).toEqual(['other', 'new', 'gone']);
  expect(differing(before, now, () => true)).toEqual(['new', 'gone']);
  expect(differing(before, before)).toEqual([]);
});

it('a changed map knows where it differs from the one before', () => {
  const before = new Map([
    ['mole', 1],
    ['quay', 2],
  ]);
  const looked = jest.spyOn(before, 'has');
  const now = changedMap(
    before,
    new Map([
      ['mole', 1],
      ['quay', 3],
      ['ferry', 4],
    ]),
  );
  expect([...now]).toEqual([
    ['mole', 1],
    ['quay', 3],
    ['ferry', 4],
  ]);
  expect([...before]).toHaveLength(2);
  expect(differing(before, now)).toEqual(['quay', 'ferry']);
  expect(looked).not.toHaveBeenCalled();
  // Whichever maps are compared, what differs is the same.
  const later = changedMap(now, new Map([['quay', 2]]));
  expect(differing(before, later)).toEqual(['ferry']);
  expect(differing(later, now)).toEqual(['quay']);
  expect(differing(before, now)).toEqual(['quay', 'ferry']);
});

it('a layer is in its group, and that in the one around it', () => {
  const { mockup } = readText(
    '<svg xmlns="http://www.w3.org/2000/svg" width="100" height="100"><g id="quay"><g id="shed"><rect id="door" width="9" height="9"/></g><rect id="crane" width="9" height="9"/></g><rect id="buoy" width="9" height="9"/></svg>',
  );
  const [screen] = mockup.screens;
  const all = (...keys: string[]) => [...withGroups(screen!, keys)].sort();
  expect(all('/test/quay/shed/door', '/test/quay/crane')).toEqual([
    '/test',
    '/test/quay',
    '/test/quay/crane',
    '/test/quay/shed',
    '/test/quay/shed/door',
  ]);
  expect(all('/test/buoy')).toEqual(['/test', '/test/buoy']);
  expect(all()).toEqual([]);
});
