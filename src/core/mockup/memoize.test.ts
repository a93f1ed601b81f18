import { memoizeLast, memoizeText, memoizeByObject } from './memoize';

it('keeps answers, null among them', () => {
  const asked: string[] = [];
  const half = memoizeText((text) => {
    asked.push(text);
    return text === '' ? null : text.length / 2;
  });
  expect([half('four'), half('four'), half(''), half('')]).toEqual([2, 2, null, null]);
  expect(asked).toEqual(['four', '']);
  const boxed = memoizeByObject((box: { side: number }) => ({ area: box.side ** 2 }));
  const box = { side: 3 };
  expect(boxed(box)).toBe(boxed(box));
  expect(boxed(box)).not.toBe(boxed({ side: 3 }));
});

it('hides its answers from copies, comparisons and JSON of the object', () => {
  const known = memoizeByObject((box: { side: number }) => ({ area: box.side ** 2 }));
  const box = { side: 3 };
  const made = known(box);
  expect(box).toStrictEqual({ side: 3 });
  expect(Object.keys(box)).toEqual(['side']);
  expect(structuredClone(box)).toStrictEqual({ side: 3 });
  expect(known({ ...box })).not.toBe(made);
});

it('keeps the last result while all inputs are identical', () => {
  const last = memoizeLast<object, string[]>();
  const key = {};
  const first = last(key, [1, 'a'], () => ['first']);
  expect(last(key, [1, 'a'], () => ['second'])).toBe(first);
  expect(last(key, [1], () => ['shorter'])).toEqual(['shorter']);
  expect(last(key, [2], (before) => [...(before ?? []), 'other'])).toEqual(['shorter', 'other']);
  expect(last({}, [2], (before) => [String(before)])).toEqual(['undefined']);
});
