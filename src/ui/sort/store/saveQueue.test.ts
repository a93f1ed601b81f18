import { RequestError } from '../../shared/request';
import { createSaveQueue } from './saveQueue';

function queueWithLog() {
  const log: string[] = [];
  const queue = createSaveQueue<string, string>(
    {
      onOffline: () => log.push('offline'),
      onSaved: (answer, since) => log.push(`saved ${answer}${since.length > 0 ? ` before ${since}` : ''}`),
      onFailed: (problem) => log.push(`failed: ${problem}`),
      onPending: (pending) => log.push(`${pending} pending`),
    },
    1,
  );
  /** Waits for all saves added so far. */
  const settled = () => new Promise<void>((resolve) => queue.add(async () => (resolve(), 'end')));
  return { log, queue, settled };
}

it('saves one after the other, and tells what was sent since', async () => {
  const { log, queue, settled } = queueWithLog();
  queue.add(async () => 'one', ['a']);
  queue.add(async () => 'two', ['b', 'c']);
  await settled();
  expect(log).toEqual([
    '1 pending',
    '2 pending',
    '3 pending',
    'saved one before b,c',
    '2 pending',
    'saved two',
    '1 pending',
  ]);
  expect(queue.added()).toBe(3);
});

it('tries again while the server is unreachable', async () => {
  const { log, queue, settled } = queueWithLog();
  let tries = 0;
  queue.add(async () => {
    tries += 1;
    if (tries < 3) throw new RequestError(0, 'The server cannot be reached.');
    return 'one';
  });
  await settled();
  expect(log.filter((line) => !line.includes('pending'))).toEqual(['offline', 'offline', 'saved one']);
});

it('gives up a save that the server refuses, and goes on', async () => {
  const { log, queue, settled } = queueWithLog();
  queue.add(async () => {
    throw new RequestError(400, 'The layer is gone.');
  });
  queue.add(async () => 'two');
  await settled();
  expect(log.filter((line) => !line.includes('pending'))).toEqual([
    'failed: The layer is gone.',
    'saved two',
  ]);
});
