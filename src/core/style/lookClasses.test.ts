import { convertReading, emitted, readInside } from '../../../tests/support/mockups';

const price = (id: string, x: number, y: number, fill: string, more = '') =>
  `<text ${id} x="${x}" y="${y}" font-family="Commissioner" font-size="14" fill="${fill}" ${more}>12</text>`;
const SAMPLES = `<g data-name="Looks [style]">${price('id="price"', 500, 20, '#222', 'font-weight="700"')}
  <g id="ticket">${price('id="price"', 500, 50, '#a33')}</g></g>`;
const wearing = (x: number, y: number) => price('', x, y, '#888', 'data-tags=".price"');

it('a sample in a group of samples is a class inside of another one, and overrules it', () => {
  const reading = readInside(
    `${SAMPLES}<g id="list">${wearing(10, 20)}${wearing(60, 20)}</g>
     <g id="stub" data-tags=".ticket"><rect x="5" y="50" width="90" height="40" fill="#eee"/>${wearing(10, 70)}${wearing(60, 70)}</g>`,
  );
  for (const arrangement of ['nested', 'flow'] as const) {
    const conversion = convertReading(reading, arrangement, new Map(), { settings: { values: 'plain' } });
    const css = emitted(conversion, 'styles.css');
    expect(css).toMatch(/\n\.price \{\n {2}font: 700 14px\/\d+px Commissioner[^}]*color: #222;/);
    expect(css).toMatch(/\n\.ticket \.price \{\n {2}font: 14px\/\d+px Commissioner[^}]*color: #a33;/);
    const html = emitted(conversion, 'index.html');
    expect(html.match(/class="price[^"]*"/g)).toHaveLength(4);
    expect(css).not.toMatch(/price-\w+ \{[^}]*color/);
  }
});
