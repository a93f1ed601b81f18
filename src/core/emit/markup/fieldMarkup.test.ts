import { converted } from '../../../../tests/support/flowed';

const text = (x: number, y: number, words: string, fill = '#222') =>
  `<text x="${x}" y="${y}" font-family="Commissioner" font-size="10" fill="${fill}">${words}</text>`;
const control = (name: string, y: number, label: string, inside: string, height = 26) =>
  `<g id="${name}">${text(10, y, label)}<rect id="box" x="10" y="${y + 6}" width="180" height="${height}" fill="#fff" stroke="#999"/>${inside}</g>`;

describe.each(['nested', 'flow'] as const)('form controls, %s', (arrangement) => {
  const html = (content: string) => converted(content, {}, arrangement).html.replace(/ style="[^"]*"/g, '');

  it('have the drawn words as their value, and are named by the label above them', () => {
    const page = html(control('guest', 20, 'Full name', text(18, 43, 'Ada Berg')));
    expect(page).toMatch(/<label class="[^"]+" for="full-name">Full name<\/label>/);
    expect(page).toMatch(/<input id="full-name" class="[^"]+" value="Ada Berg">/);
  });

  it('have faint words as their placeholder, and the type that their label says', () => {
    const page = html(control('mail', 20, 'E-mail', text(18, 43, 'you@ferry.test', '#999')));
    // In the flow it is the only input of its box.
    const worn = arrangement === 'flow' ? '' : ' class="[^"]+"';
    expect(page).toMatch(new RegExp(`<input id="e-mail"${worn} type="email" placeholder="you@ferry.test">`));
  });

  it('take all of their box by one rule where nothing is filled in', () => {
    const empty =
      '<g id="guest field"><rect x="10" y="26" width="180" height="26" fill="#fff" stroke="#999"/><rect x="160" y="34" width="10" height="10" fill="#999"/></g>';
    const { html: page, css } = converted(empty, {}, arrangement);
    expect(page).toMatch(/<input aria-label="[^"]+" class="control"/);
    expect(css).toMatch(/\.screen \.control \{\s+position: absolute;\s+inset: 0;/);
  });

  it('are lists and text areas by their names and their height', () => {
    const list = html(control('harbour select', 20, 'Harbour', text(18, 43, 'Holm')));
    expect(list).toMatch(/<select id="harbour" [^>]*>\s*<option>Holm<\/option>\s*<\/select>/);
    const area = html(control('message textarea', 2, 'Message', text(18, 22, 'Anything else?', '#999'), 80));
    expect(area).toMatch(/<textarea id="message" [^>]*placeholder="Anything else\?"><\/textarea>/);
  });

  it('are checked where a mark is drawn, and choices of one group', () => {
    const choice = (name: string, y: number, mark: string) =>
      `<g id="radio ${name}"><circle cx="20" cy="${y}" r="8" fill="#fff" stroke="#06c"/>${mark}${text(40, y + 4, name)}</g>`;
    const page = html(
      `<g id="way">${choice('single', 20, '<circle cx="20" cy="20" r="4" fill="#06c"/>')}${choice('return', 50, '')}</g>`,
    );
    expect(page).toContain('<input type="radio" name="way" checked="">');
    expect(page).toContain('<input type="radio" name="way">');
  });

  it('have the label and the type that a person says', () => {
    const far = `${text(10, 100, 'Seats').replace('<text', '<text data-name="caption [for=guests]"')}`;
    const page = html(
      `${control('guests', 20, 'Party', text(18, 43, '4')).replace('id="box"', 'id="guests" data-name="guests [field type=number]"')}${far}`,
    );
    expect(page).toMatch(/<label class="[^"]+" for="seats">Seats<\/label>/);
    expect(page).not.toMatch(/<label[^>]*>Party/);
    expect(page).toMatch(/<input id="seats" class="[^"]+" type="number" value="4">/);
  });

  it('keep as their value only what their type allows', () => {
    const day = control('day', 20, 'Day', text(18, 43, '3 June')).replace(
      'id="box"',
      'data-name="box [type=date]"',
    );
    expect(html(day)).toMatch(/type="date" placeholder="3 June"/);
  });
});

it('a label of no field and a type of no field are reported', () => {
  const words = text(10, 20, 'Seats').replace('<text', '<text data-name="caption [for=nobody type=date]"');
  expect(converted(words).findings.map(({ code }) => code)).toEqual(
    expect.arrayContaining(['label-nowhere', 'type-without-field']),
  );
});
