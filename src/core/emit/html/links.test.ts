import { convertReading, readDemo, readInside } from '../../../../tests/support/mockups';
import { TARGETS } from '../targets';
import { linkElements } from './links';

function linked(reading: ReturnType<typeof readInside>) {
  const conversion = convertReading(reading, 'flow');
  const emit = (keyed: boolean) => TARGETS.html.emit({ ...conversion, unit: 'px', keyed })[0]!.text;
  return { page: emit(false), links: linkElements(emit(true), conversion.pages[0]!.children) };
}

it('every layer links to the lines of its element', () => {
  const { page, links } = linked(readDemo());
  const lines = page.split('\n');
  const linesOf = (name: string) => {
    const link = links.find(({ layer }) => layer.endsWith(`/${name}`))!;
    return lines.slice(link.line - 1, link.lastLine).map((line) => line.trim());
  };
  expect(linesOf('book-button')).toEqual([
    expect.stringMatching(/^<button class="book-button" type="button".*>Book a crossing<\/button>$/),
  ]);
  const header = linesOf('header');
  expect([header[0], header.at(-1)]).toEqual([expect.stringMatching(/^<header class="header"/), '</header>']);
  expect(linesOf('ferry-mark')).toEqual([expect.stringMatching(/^<img class="ferry-mark"/)]);
});

it('a layer that was merged links to the element that absorbed it', () => {
  const { links } = linked(readDemo());
  const leadsTo = (name: string) =>
    links.find(({ layer, merged }) => [layer, ...merged].some((key) => key.endsWith(`/${name}`)))?.layer;
  expect(leadsTo('main-navigation/link')).toMatch(/\/light$/);
  expect(leadsTo('book-button/rect')).toBe(leadsTo('book-button'));
});

it('every layer links to its element by document order', () => {
  const { page, links } = linked(readDemo());
  const tags = [...page.slice(page.indexOf('class="screen"')).matchAll(/<([a-z][a-z0-9]*)/g)].map(
    ([, name]) => name,
  );
  const link = links.find(({ layer }) => layer.endsWith('/book-button'))!;
  expect(tags[link.element]).toBe('button');
});

it('escaped names are found', () => {
  const { links } = linked(
    readInside('<g id="a&quot;b&lt;c"><rect width="20" height="9"/><text y="40">Sund</text></g>'),
  );
  expect(links.map(({ layer }) => layer).some((layer) => layer.includes('a') && layer.includes('c'))).toBe(
    true,
  );
});
