import type { Tag, Tags } from '../../core/sort/tag';
import { tagDelta, applyTagDelta } from './tagDelta';

const aside: Tag = { outcome: 'aside' };
const picture: Tag = { outcome: 'picture' };
const before: Tags = new Map([
  ['/harbour/mole', aside],
  ['/harbour/ferry', picture],
]);

it('changed, added and removed tags are in the difference, which restores the same tags', () => {
  const now: Tags = new Map<string, Tag>([
    ['/harbour/ferry', { outcome: 'element' }],
    ['/harbour/quay', aside],
  ]);
  const delta = tagDelta(before, now);
  expect([...delta]).toEqual([
    ['/harbour/ferry', { outcome: 'element' }],
    ['/harbour/quay', aside],
    ['/harbour/mole', null],
  ]);
  expect(applyTagDelta(before, delta)).toEqual(now);
});

it('an unchanged tag stays the same object, and an empty difference changes nothing', () => {
  const now: Tags = new Map([...before, ['/harbour/quay', aside]]);
  expect(applyTagDelta(before, tagDelta(before, now)).get('/harbour/ferry')).toBe(picture);
  expect(applyTagDelta(before, tagDelta(before, before))).toBe(before);
});
