import { screenshot } from './screenshot';

/** A page that gives no frame for the first `failures` times. */
function busyPage(failures: number, message = 'Protocol error: Unable to capture screenshot') {
  let asked = 0;
  const page = {
    screenshot: () =>
      ++asked > failures ? Promise.resolve(Buffer.from('PNG')) : Promise.reject(new Error(message)),
  };
  return { page, asked: () => asked };
}

describe('a screenshot', () => {
  it('is asked for again when the browser had no frame in time', async () => {
    const { page, asked } = busyPage(2);
    expect((await screenshot(page)).toString()).toBe('PNG');
    expect(asked()).toBe(3);
  });

  it('is given up after several tries, and at once for any other fault', async () => {
    await expect(screenshot(busyPage(9).page)).rejects.toThrow('Unable to capture');
    const closed = busyPage(9, 'Target closed');
    await expect(screenshot(closed.page)).rejects.toThrow('Target closed');
    expect(closed.asked()).toBe(1);
  });
});
