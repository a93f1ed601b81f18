import { idEnding } from '../../../../tests/support/ids';
import { convertReading, readDemo, readInside } from '../../../../tests/support/mockups';

function built(reading: ReturnType<typeof readInside>) {
  const { mockup, emission } = convertReading(reading, 'flow');
  const links = emission.sourceMap['index.html']!;
  const layerAt = (ending: string) => {
    const id = idEnding(mockup, ending);
    return (links.find(({ layer }) => layer === id) ?? links.find(({ merged }) => merged.includes(id)))!;
  };
  return { mockup, page: emission.files[0]!.text, links, layerAt };
}

it('every layer links to the lines of its element', () => {
  const { page, layerAt } = built(readDemo());
  const lines = page.split('\n');
  const linesOf = (name: string) => {
    const link = layerAt(`/${name}`);
    return lines.slice(link.line - 1, link.lastLine).map((line) => line.trim());
  };
  expect(linesOf('book-button')).toEqual([
    expect.stringMatching(/^<button class="book-button" type="button".*>Book a crossing<\/button>$/),
  ]);
  const header = linesOf('header');
  expect([header[0], header.at(-1)]).toEqual(['<header>', '</header>']);
  expect(linesOf('ferry-mark')).toEqual([expect.stringMatching(/^<img class="ferry-mark"/)]);
});

it('a layer that was merged links to the element that absorbed it', () => {
  const { mockup, layerAt } = built(readDemo());
  const leadsTo = (name: string) => layerAt(`/${name}`).layer;
  expect(leadsTo('main-navigation/link')).toBe(idEnding(mockup, '/main-navigation/link/light'));
  expect(leadsTo('book-button/rect')).toBe(leadsTo('book-button'));
});

it('every layer links to its element by document order', () => {
  const { page, layerAt } = built(readDemo());
  const tags = [...page.slice(page.indexOf('class="screen"')).matchAll(/<([a-z][a-z0-9]*)/g)].map(
    ([, name]) => name,
  );
  expect(tags[layerAt('/book-button').element]).toBe('button');
});

it('the lines of every element begin with its start tag', () => {
  const { page, links } = built(readDemo());
  const lines = page.split('\n');
  for (const { line } of links) expect(lines[line - 1]).toMatch(/<[a-z]/);
});
