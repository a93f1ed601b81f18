import { hasWords } from './hasWords';

test('a text has the words of a search in any order and case', () => {
  expect(hasWords('Ferry timetable, 24 px', 'PX  ferry')).toBe(true);
  expect(hasWords('Ferry timetable, 24 px', 'table')).toBe(true);
  expect(hasWords('Ferry timetable, 24 px', 'ferry 25')).toBe(false);
});

test('an empty search finds every text', () => {
  expect(hasWords('', ' ')).toBe(true);
  expect(hasWords('Ferry', '')).toBe(true);
});
