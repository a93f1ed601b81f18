import type { ShownPage, WrittenPiece } from '../pageDelta';
import { livePage } from './livePage';

beforeEach(() => jest.useFakeTimers());
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

/** A page of rows in a column. */
function pageOf(words: readonly string[], more: Partial<ShownPage> = {}): ShownPage {
  const parts = words.map((word, at): WrittenPiece => ({
    id: `row-${at}`,
    within: null,
    isOpen: false,
    html: `<p data-layer="row-${at}">${word}</p>\n`,
  }));
  return { rules: ['p { margin: 0 }'], screen: '<div class="screen"></div>', parts, urgent: null, ...more };
}

/** The top of the visible area, px. */
const SEEN = 7_500;

function open() {
  const shown = document.implementation.createHTMLDocument();
  const live = livePage(shown, () => ({ x: 0, y: SEEN, width: 100, height: 100 }));
  const words = () => [...shown.body.firstElementChild!.children].map(({ textContent }) => textContent);
  return { shown, live, words };
}

const MANY = Array.from({ length: 120 }, () => 'ebb');

it('urgent changes come first', () => {
  const { live, words } = open();
  live.put(pageOf(MANY));
  live.put(
    pageOf(
      MANY.map(() => 'flood'),
      { urgent: new Set(['row-4', 'row-5', 'row-6', 'row-7']) },
    ),
  );
  const changed = words().flatMap((word, at) => (word === 'flood' ? [at] : []));
  expect(changed).toEqual([4, 5, 6, 7]);
  jest.runAllTimers();
  expect(words()).toEqual(MANY.map(() => 'flood'));
});

it('later changes come from the newest page', () => {
  const { live, words } = open();
  live.put(pageOf(MANY));
  live.put(pageOf(MANY.map(() => 'flood')));
  live.put(pageOf(MANY.map(() => 'slack')));
  jest.runAllTimers();
  expect(words()).toEqual(MANY.map(() => 'slack'));
  live.put(pageOf(MANY, { urgent: new Set(['row-4', 'row-5', 'row-6', 'row-7']) }));
  live.stop();
  jest.runAllTimers();
  expect(words().filter((word) => word === 'slack')).toHaveLength(116);
});

it('pieces move at once, and their other changes follow', () => {
  const { live, shown } = open();
  live.put(pageOf(MANY));
  const list: WrittenPiece = { id: 'list', within: null, isOpen: true, html: '<ul data-layer="list"></ul>' };
  const { parts } = pageOf(MANY.map(() => 'flood'));
  const inside = parts.toReversed().map((part) => ({ ...part, within: 'list' }));
  live.put(pageOf([], { parts: [list, ...inside], urgent: new Set(['list', 'row-119', 'row-0']) }));
  const words = () => [...shown.querySelectorAll('ul > p')].map(({ textContent }) => textContent);
  expect(words()).toEqual(['flood', ...Array.from({ length: 118 }, () => 'ebb'), 'flood']);
  jest.runAllTimers();
  expect(words()).toEqual(MANY.map(() => 'flood'));
  expect(shown.querySelectorAll('p')).toHaveLength(120);
});

it('the visible part stays in place until everything above it has come', () => {
  const { live, shown } = open();
  /** The height follows the length of the words, ten px a letter. */
  const heightOf = ({ textContent }: Element) => textContent.length * 10;
  jest.spyOn(Element.prototype, 'getBoundingClientRect').mockImplementation(function (this: Element) {
    const rows = [...shown.querySelectorAll('p')];
    const above = rows
      .slice(0, rows.indexOf(this as HTMLParagraphElement))
      .reduce((sum, row) => sum + heightOf(row), 0);
    const moved = Number(/-?\d+/.exec(shown.body.style.transform)?.[0] ?? 0);
    return new DOMRect(0, above + moved, 100, heightOf(this));
  });
  const words = (word: string) => Array.from({ length: 600 }, () => word);
  live.put(pageOf(words('ebb')));
  const row = shown.querySelectorAll('p')[SEEN / 30]!;
  expect(row.getBoundingClientRect().top).toBe(SEEN);
  const urgent = new Set(['row-250', 'row-251', 'row-252']);
  live.put(pageOf(words('flood'), { urgent }));
  jest.runAllTimers();
  // More may follow.
  expect(row.getBoundingClientRect().top).toBe(SEEN);
  expect(shown.body.style.transform).toBe('translateY(-5000px)');
  live.put(pageOf(words('flood')));
  jest.runAllTimers();
  expect(shown.body.style.transform).toBe('');
});

it('few changes, and added, removed or moved parts, are shown at once', () => {
  const { live, words, shown } = open();
  live.put(pageOf(['one', 'two', 'three']));
  const [, second] = shown.querySelectorAll('p');
  live.put(pageOf(['one', 'zwei', 'three']));
  expect(words()).toEqual(['one', 'zwei', 'three']);
  expect(shown.querySelectorAll('p')[1]).toBe(second);
  const { parts } = pageOf(['one', 'zwei', 'three', 'four']);
  live.put(pageOf([], { parts: [parts[3]!, parts[1]!] }));
  expect(words()).toEqual(['four', 'zwei']);
  live.put(pageOf([...MANY, 'more']));
  expect(words()).toEqual([...MANY, 'more']);
});

it('parts stay in their open parent when its element changes', () => {
  const { live, shown } = open();
  const inner = { id: 'inner', within: 'outer', isOpen: false, html: '<b data-layer="inner">x</b>' };
  const outer = (name: string) => ({
    id: 'outer',
    within: null,
    isOpen: true,
    html: `<${name} data-layer="outer"></${name}>`,
  });
  live.put(pageOf([], { parts: [outer('div'), inner] }));
  live.put(pageOf([], { parts: [outer('section'), inner], rules: ['p { margin: 1px }', 'b { top: 0 }'] }));
  expect(shown.body.innerHTML).toBe(
    '<div class="screen"><section data-layer="outer"><b data-layer="inner">x</b></section></div>',
  );
  live.put(pageOf([], { parts: [outer('section')], screen: '<div class="screen wide"></div>' }));
  expect(shown.body.innerHTML).toBe('<div class="screen wide"><section data-layer="outer"></section></div>');
});
