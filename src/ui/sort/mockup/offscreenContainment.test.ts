import { keepContainment, containOffscreen } from './offscreenContainment';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

/** Four berths, one of them empty and one beside words on a line. */
function quay() {
  const shown = document.implementation.createHTMLDocument();
  const berth = '<div class="berth" style="align-self: auto"><p>Berth</p></div>';
  shown.body.innerHTML = `${berth}${berth}<div class="berth"></div><div style="display: flex; align-items: baseline">${berth}</div>`;
  const berths = [...shown.querySelectorAll('.berth')];
  const marks = () => berths.map((each) => each.getAttribute('data-rests'));
  return { berths, marks, resting: containOffscreen(shown) };
}

/** Waits for one frame and its tasks. */
const frame = () => jest.advanceTimersByTimeAsync(16);

it('elements are drawn once more before they are contained', async () => {
  const { berths, marks, resting } = quay();
  resting.renew(berths);
  expect(marks()).toEqual(['', '', null, null]);
  await frame();
  expect(marks()).toEqual(['', '', null, null]);
  await jest.runAllTimersAsync();
  expect(marks()).toEqual(['unseen', 'unseen', null, null]);
  resting.renew(berths);
  expect(marks()).toEqual(['', '', null, null]);
});

it('stop contains no others, and keeps those that are', async () => {
  const { berths, marks, resting } = quay();
  resting.renew(berths.slice(0, 1));
  await jest.runAllTimersAsync();
  resting.renew(berths.slice(1));
  resting.stop();
  await jest.runAllTimersAsync();
  expect(marks()).toEqual(['unseen', '', null, null]);
});

it('an emptied element loses its containment', async () => {
  const { berths, marks, resting } = quay();
  resting.renew(berths);
  await jest.runAllTimersAsync();
  berths[0]!.replaceChildren();
  resting.renew(berths);
  await jest.runAllTimersAsync();
  expect(marks()).toEqual([null, 'unseen', null, null]);
});

it('new code of an element keeps its containment', () => {
  const { berths } = quay();
  const [known, next] = berths;
  keepContainment(known!, next!);
  expect(next!.hasAttribute('data-rests')).toBe(false);
  known!.setAttribute('data-rests', 'unseen');
  keepContainment(known!, next!);
  expect(next!.getAttribute('data-rests')).toBe('unseen');
});
