import { idAt } from '../../../tests/support/ids';
import { readText } from '../../../tests/support/mockups';
import { withEntries, changedKeys, withAncestors } from './changedKeys';

it('keys with other values and keys of only one map are changed', () => {
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
  expect(changedKeys(before, now)).toEqual(['other', 'new', 'gone']);
  expect(changedKeys(before, now, () => true)).toEqual(['new', 'gone']);
  expect(changedKeys(before, before)).toEqual([]);
});

it('a map made by withEntries has the same changed keys as a full comparison', () => {
  const before = new Map([
    ['mole', 1],
    ['quay', 2],
  ]);
  const looked = jest.spyOn(before, 'has');
  const now = withEntries(
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
  expect(changedKeys(before, now)).toEqual(['quay', 'ferry']);
  expect(looked).not.toHaveBeenCalled();
  // The result is the same whichever two maps are compared.
  const later = withEntries(now, new Map([['quay', 2]]));
  expect(changedKeys(before, later)).toEqual(['ferry']);
  expect(changedKeys(later, now)).toEqual(['quay']);
  expect(changedKeys(before, now)).toEqual(['quay', 'ferry']);
});

it('the ancestors of a layer are its group and all groups around that', () => {
  const { mockup } = readText(
    '<svg xmlns="http://www.w3.org/2000/svg" width="100" height="100"><g id="quay"><g id="shed"><rect id="door" width="9" height="9"/></g><rect id="crane" width="9" height="9"/></g><rect id="buoy" width="9" height="9"/></svg>',
  );
  const [screen] = mockup.screens;
  const all = (...keys: string[]) => withAncestors(screen!, keys);
  expect(all(idAt('/quay/shed/door'), idAt('/quay/crane'))).toEqual(
    new Set([idAt(''), idAt('/quay'), idAt('/quay/crane'), idAt('/quay/shed'), idAt('/quay/shed/door')]),
  );
  expect(all(idAt('/buoy'))).toEqual(new Set([idAt(''), idAt('/buoy')]));
  expect(all()).toEqual(new Set());
});
