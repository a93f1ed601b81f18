import { inOrder } from './inOrder';

it('runs works one after the other, those after a failed one, too', async () => {
  const run = inOrder();
  const began: string[] = [];
  let finish = () => {};
  const slow = run(() => {
    began.push('slow');
    return new Promise<void>((resolve) => (finish = resolve));
  });
  const failed = run(() => {
    began.push('failed');
    return Promise.reject(new Error('refused'));
  });
  const quick = run(() => {
    began.push('quick');
    return Promise.resolve(3);
  });
  await Promise.resolve();
  expect(began).toEqual(['slow']);
  finish();
  await slow;
  await expect(failed).rejects.toThrow('refused');
  expect(await quick).toBe(3);
  expect(began).toEqual(['slow', 'failed', 'quick']);
});
