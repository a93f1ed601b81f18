import { latestOnly } from './latestOnly';

it('runs one request at a time, and only the newest of those that wait', async () => {
  const asked: number[] = [];
  const given: (readonly [number, boolean])[] = [];
  const answers: (() => void)[] = [];
  const request = latestOnly(
    (number: number) => {
      asked.push(number);
      return new Promise<number>((resolve) => answers.push(() => resolve(number * 10)));
    },
    (answer, isLast) => given.push([answer, isLast]),
  );
  [1, 2, 3].forEach(request);
  expect(asked).toEqual([1]);
  answers[0]!();
  await new Promise((resolve) => setTimeout(resolve));
  expect([asked, given]).toEqual([[1, 3], [[10, false]]]);
  answers[1]!();
  await new Promise((resolve) => setTimeout(resolve));
  request(4);
  expect([asked, given]).toEqual([
    [1, 3, 4],
    [
      [10, false],
      [30, true],
    ],
  ]);
});
