import { convertedOf, converted } from '../../../../../tests/support/flowed';
import { readInside } from '../../../../../tests/support/mockups';

const text = (x: number, y: number, words: string, ink: string) =>
  `<text x="${x}" y="${y}" font-size="10" font-family="Commissioner" fill="${ink}">${words}</text>`;
const row = (at: number, name: string, value: string, ink = '#667') =>
  `<g id="fare${at}">${text(8, 20 + at * 20, name, ink)}${text(120, 20 + at * 20, value, '#112')}</g>`;
const fares = (ink?: string) =>
  `<g id="summary"><rect width="200" height="90" fill="#eee"/>${row(0, 'Berth', '24.00', ink)}${row(1, 'Harbour dues', '3.50', ink)}${row(2, 'Sum', '27.50', ink)}</g>`;

describe('description lists', () => {
  it('are rows of a name and a value that look otherwise', () => {
    const { html } = converted(fares());
    expect(html).toMatch(
      /<dl class="[^"]*">\s*<div[^>]*>\s*<dt[^>]*>Berth<\/dt>\s*<dd[^>]*>24.00<\/dd>\s*<\/div>/,
    );
    expect(html.match(/<dt/g)).toHaveLength(3);
  });

  it('are rows whose names end with a colon', () => {
    const rows = ['Pier', 'Berth', 'Deck'].map((name, at) => row(at, `${name}:`, `${at + 1}`, '#112'));
    expect(converted(`<g id="ticket">${rows.join('')}</g>`).html.match(/<dt/g)).toHaveLength(3);
  });

  it('stand among other things in a list of their own', () => {
    const { html } = converted(
      fares().replace('<g id="fare0"', `${text(8, 8, 'Your sailing', '#112')}<g id="fare0"`),
    );
    expect(html).toMatch(/Your sailing<[^]*<dl[^>]*>\s*<div/);
  });

  it('are no rows whose parts look alike, and no links', () => {
    expect(converted(fares('#112')).html).not.toMatch(/<dl/);
    const linked = fares().replaceAll('id="fare1"', 'id="fare1 [a href=/dues]"');
    expect(converted(linked).html).not.toMatch(/<dl/);
  });

  it('are around what the mockup calls terms and descriptions', () => {
    const part = (role: string, id: string, y: number, words: string) =>
      `<g id="${id}" role="${role}">${text(8, y, words, '#112')}</g>`;
    const { html } = converted(
      `<g id="row14">${part('term', 'a', 20, 'Berth')}${part('definition', 'b', 40, 'A bed on a ship')}${part('term', 'c', 60, 'Quay')}${part('definition', 'd', 80, 'Where it lies')}</g>`,
    );
    expect(html).toMatch(/<dl[^>]*>\s*<dt[^>]*>Berth<\/dt>\s*<dd/);
  });

  it('are divs where a part of them is something else', () => {
    const reading = readInside(fares());
    const [layer] = reading.mockup.screens[0]!.root.layers;
    const { html } = convertedOf(reading, { [layer!.id]: { role: 'description-list' } }, 'nested');
    expect(html).not.toMatch(/<d[dlt]\b/);
  });
});

describe('ordered lists', () => {
  const step = (at: number, number: string) =>
    `<g id="step${at}">${text(8, 20 + at * 30, number, '#112')}${text(30, 20 + at * 30, ['Cast off', 'Hoist', 'Sail'][at]!, '#112')}</g>`;
  const steps = (numbers: readonly string[]) =>
    converted(
      `<g id="way"><rect width="200" height="100" fill="#eee"/>${numbers.map((number, at) => step(at, number)).join('')}</g>`,
    ).html;

  it('are like parts that are numbered from one', () => {
    expect(steps(['1.', '2.', '3.'])).toMatch(/<ol[^>]*>\s*<li/);
    expect(steps(['1', '2', '3'])).toMatch(/<ol/);
    expect(steps(['1', '3', '4'])).toMatch(/<ul/);
    expect(steps(['1 berth', '2 berths', '3 berths'])).toMatch(/<ul/);
  });

  it('are what the mockup gives the role of a list, where it is called so or numbered', () => {
    const list = (id: string, numbers: readonly string[]) =>
      converted(
        `<g id="${id}" role="list">${numbers.map((number, at) => `<g id="li${at}" role="listitem">${text(8, 20 + at * 30, number, '#112')}</g>`).join('')}</g>`,
      ).html;
    expect(list('ol1', ['Cast off', 'Hoist'])).toMatch(/<ol/);
    expect(list('steps', ['1. Cast off', '2. Hoist'])).toMatch(/<ol/);
    expect(list('ul1', ['Cast off', 'Hoist'])).toMatch(/<ul/);
  });

  it('have no marks of their own beside the drawn ones', () => {
    const { css } = converted(`<g id="way">${[0, 1, 2].map((at) => step(at, `${at + 1}.`)).join('')}</g>`);
    expect(css).toMatch(/:is\(ul, ol\)\) \{\n {2}list-style: none/);
  });
});
