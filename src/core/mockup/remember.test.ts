import { lastMade, remember, rememberOf } from './remember';

it('answers are kept, also when they are nothing', () => {
  const asked: string[] = [];
  const half = remember((text) => {
    asked.push(text);
    return text === '' ? null : text.length / 2;
  });
  expect([half('four'), half('four'), half(''), half('')]).toEqual([2, 2, null, null]);
  expect(asked).toEqual(['four', '']);
  const boxed = rememberOf((box: { side: number }) => ({ area: box.side ** 2 }));
  const box = { side: 3 };
  expect(boxed(box)).toBe(boxed(box));
  expect(boxed(box)).not.toBe(boxed({ side: 3 }));
});

it('what is kept with an object is nothing of the object: no copy, comparison or text shows it', () => {
  const known = rememberOf((box: { side: number }) => ({ area: box.side ** 2 }));
  const box = { side: 3 };
  const made = known(box);
  expect(box).toStrictEqual({ side: 3 });
  expect(Object.keys(box)).toEqual(['side']);
  expect(structuredClone(box)).toStrictEqual({ side: 3 });
  expect(known({ ...box })).not.toBe(made);
});

it('what was made last stays as long as all that it was made from is the same', () => {
  const last = lastMade<object, string[]>();
  const key = {};
  const first = last(key, [1, 'a'], () => ['first']);
  expect(last(key, [1, 'a'], () => ['second'])).toBe(first);
  expect(last(key, [1], () => ['shorter'])).toEqual(['shorter']);
  expect(last(key, [2], (before) => [...(before ?? []), 'other'])).toEqual(['shorter', 'other']);
  expect(last({}, [2], (before) => [String(before)])).toEqual(['undefined']);
});
