import type { Tag, Tags } from '../../core/sort/tag';
import { tagNews, withTagNews } from './tagNews';

const aside: Tag = { outcome: 'aside' };
const picture: Tag = { outcome: 'picture' };
const before: Tags = new Map([
  ['/harbour/mole', aside],
  ['/harbour/ferry', picture],
]);

it('tags that changed, came or went are news, and make the same tags of those before', () => {
  const now: Tags = new Map<string, Tag>([
    ['/harbour/ferry', { outcome: 'element' }],
    ['/harbour/quay', aside],
  ]);
  const news = tagNews(before, now);
  expect([...news]).toEqual([
    ['/harbour/ferry', { outcome: 'element' }],
    ['/harbour/quay', aside],
    ['/harbour/mole', null],
  ]);
  expect(withTagNews(before, news)).toEqual(now);
});

it('a tag that is the same stays the same object, and no news leaves everything as it was', () => {
  const now: Tags = new Map([...before, ['/harbour/quay', aside]]);
  expect(withTagNews(before, tagNews(before, now)).get('/harbour/ferry')).toBe(picture);
  expect(withTagNews(before, tagNews(before, before))).toBe(before);
});
