import { continueLast, createMemo, memoizeByObject, memoizeLast, memoizeText, usingMemo } from './memoize';

it('keeps answers, null among them', () => {
  const asked: string[] = [];
  const half = memoizeText((text) => {
    asked.push(text);
    return text === '' ? null : text.length / 2;
  });
  expect([half('four'), half('four'), half(''), half('')]).toEqual([2, 2, null, null]);
  expect(asked).toEqual(['four', '']);
});

it('keeps results in the memo that is handed in, and none between runs', () => {
  const boxed = memoizeByObject((box: { side: number }) => ({ area: box.side ** 2 }));
  const box = Object.freeze({ side: 3 });
  const memo = createMemo();
  const made = usingMemo(memo, () => boxed(box));
  expect(usingMemo(memo, () => boxed(box))).toBe(made);
  expect(usingMemo(createMemo(), () => boxed(box))).not.toBe(made);
  expect(boxed(box)).not.toBe(boxed(box));
  expect(Reflect.ownKeys(box)).toEqual(['side']);
});

it('a call without a memo has one for all that it calls', () => {
  let calls = 0;
  const depth = memoizeByObject((node: { inner: { inner: null } | null }): number => {
    calls += 1;
    return node.inner ? 1 + Math.max(depth(node.inner), depth(node.inner)) : 0;
  });
  expect(depth({ inner: { inner: null } })).toBe(1);
  expect(calls).toBe(2);
});

it('a run goes on from the last one, and not from one that failed', () => {
  const run = continueLast<object, { runs: number }>();
  const key = {};
  const next = (last: { runs: number } | null) => ({ runs: (last?.runs ?? 0) + 1 });
  usingMemo(createMemo(), () => {
    expect([run(key, next).runs, run(key, next).runs]).toEqual([1, 2]);
    expect(() =>
      run(key, () => {
        throw new Error('Stopped.');
      }),
    ).toThrow('Stopped.');
    expect(run(key, next).runs).toBe(1);
  });
});

it('keeps the last result while all inputs are identical', () => {
  const last = memoizeLast<object, string[]>();
  const key = {};
  usingMemo(createMemo(), () => {
    const first = last(key, [1, 'a'], () => ['first']);
    expect(last(key, [1, 'a'], () => ['second'])).toBe(first);
    expect(last(key, [1], () => ['shorter'])).toEqual(['shorter']);
    expect(last(key, [2], (before) => [...(before ?? []), 'other'])).toEqual(['shorter', 'other']);
    expect(last({}, [2], (before) => [String(before)])).toEqual(['undefined']);
  });
});
