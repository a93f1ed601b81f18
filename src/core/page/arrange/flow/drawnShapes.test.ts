import { box, word, converted } from '../../../../../tests/support/flowed';

describe('boxes drawn as several shapes', () => {
  it('a blurred shape beneath becomes the shadow, a frame the border, a bar along an edge the border of that side', () => {
    const { css, html } = converted(
      `<filter id="b"><feGaussianBlur stdDeviation="3"/></filter><g id="card"><rect x="20" y="22" width="100" height="50" fill="#000" fill-opacity=".2" filter="url(#b)"/><rect x="20" y="20" width="100" height="50" fill="#fff"/><rect x="20" y="69" width="100" height="1" fill="#ccc"/>${word(30, 40, 'Sund')}</g>`,
      {},
      'nested',
    );
    expect(css).toContain('box-shadow: 0 2px 6px rgb(0 0 0 / 20%)');
    expect(css).toContain('border-bottom: 1px solid #ccc');
    expect(html.match(/<(div|article)/g)).toHaveLength(2);
  });
});

it('a box beneath another that sticks out slightly becomes its shadow', () => {
  const card = (by: number, spread: number, corner: number, alpha: number) => {
    const [x, y, width, height] = [20 - spread + by, 20 - spread + by, 100 + 2 * spread, 50 + 2 * spread];
    const under = `<rect x="${x}" y="${y}" width="${width}" height="${height}" rx="${corner}" fill-opacity="${alpha}"/>`;
    const box = '<rect x="20" y="20" width="100" height="50" rx="8" fill="#fff"/>';
    return converted(`<g id="card">${under}${box}${word(30, 40, 'Sund')}</g>`, {}, 'nested').node('card')
      .look;
  };
  expect(card(0, 1, 8, 0.1)).toMatchObject({ shadows: [{ dx: 0, dy: 0, spread: 1, deviation: 0 }] });
  expect(card(4, 0, 8, 1)).toMatchObject({ shadows: [{ dx: 4, dy: 4, spread: 0, deviation: 0 }] });
  // The other corners, or the offset beside the box, are visible.
  expect(card(4, 0, 6, 1).shadows).toBeUndefined();
  expect(card(30, 0, 8, 1).shadows).toBeUndefined();
});

describe('bars clipped at rounded corners', () => {
  const bars =
    '<rect x="10" y="10" width="120" height="3" fill="#063"/><rect x="10" y="59" width="120" height="1" fill="#999"/>';
  const card = (inside: string) =>
    `<clipPath id="c"><path d="M16 10H124A6 6 0 0 1 130 16V60H10V16A6 6 0 0 1 16 10Z"/></clipPath>
     <g id="card"><path d="M16 10H124A6 6 0 0 1 130 16V60H10V16A6 6 0 0 1 16 10Z" fill="#fff"/><g clip-path="url(#c)">${inside}</g>${word(20, 40, 'Sund')}${word(80, 40, 'Holm')}</g>`;

  it('become borders of the box beneath', () => {
    const { look, children } = converted(card(bars), {}, 'nested').node('card');
    expect(look).toMatchObject({
      sides: { top: { width: 3, colour: { g: 102 } }, bottom: { width: 1, colour: { r: 153 } } },
    });
    expect(look.radii?.map(({ x }) => Math.round(x))).toEqual([6, 6, 0, 0]);
    expect(children.map(({ kind }) => kind)).toEqual(['text', 'text']);
  });

  it('become borders without a clip along a side between sharp corners', () => {
    const bar = (y: number) => {
      const shape = '<path d="M16 10H124A6 6 0 0 1 130 16V60H10V16A6 6 0 0 1 16 10Z" fill="#fff"/>';
      const inside = `${shape}<rect x="10" y="${y}" width="120" height="1" fill="#999"/>`;
      return converted(`<g id="card">${inside}${word(20, 40, 'Sund')}</g>`, {}, 'nested').node('card').look
        .sides;
    };
    expect(bar(59)).toMatchObject({ bottom: { width: 1 } });
    expect(bar(10)).toBeUndefined();
  });

  it('stay where the clip cuts something else as well', () => {
    const other = '<rect x="40" y="20" width="9" height="9" fill="#c00"/>';
    const { look } = converted(card(bars + other), {}, 'nested').node('card');
    expect(look.sides).toBeUndefined();
  });
});

describe('lines around words', () => {
  const cell = (x: number, words: string, colour = '#dde') =>
    `<g id="cell${x}"><g stroke="${colour}" stroke-linecap="square"><path d="M${x} 10.78H${x + 60}"/><path d="M${x + 60} 10.78V40.78"/></g>${word(x + 10, 30, words)}</g>`;

  it('become borders of the cell that they lie along', () => {
    const { css, html } = converted(`<g id="row">${cell(10, 'Sund')}${cell(70, 'Holm')}</g>`);
    expect(css).toMatch(/border-top: 1px solid var\(--line\);\s+border-right: 1px solid var\(--line\)/);
    expect(html).toMatch(/<(span|li|div) class="[\w -]+"[^>]*>Sund<\//);
  });

  it('stay bars where a border would visibly move to whole px', () => {
    const { css } = converted(`<g id="row">${cell(10, 'Sund', '#000')}${cell(70, 'Holm', '#000')}</g>`);
    expect(css).not.toContain('border-top');
  });
});

describe('states', () => {
  const lamp = `<g id="lamp [button]"><rect width="60" height="30" rx="6" fill="#246"/>${word(12, 20, 'Light')}</g><g id="lamp hover" display="none"><rect width="60" height="30" rx="6" fill="#579"/></g>`;

  it('become pseudo-classes with only the differences', () => {
    expect(converted(lamp).css).toMatch(/:hover \{\n {2}background: #579;\n\}/);
  });

  const sail = (fill: string) =>
    `<path d="M5 5C20 -5 40 40 60 10L50 50L8 40Z" fill="${fill}"/><path d="M15 15C20 5 30 30 40 10L30 40Z"/>`;

  it.each([
    [
      'of a picture is shown in its place',
      '',
      /\.sail:hover \{\n {2}content: url\("pictures\/sail-hover\.svg"\);/,
    ],
    ['of a button that is a picture, inside of it', ' [button]', /\.sail:hover > img \{\n {2}content: url/],
  ])('%s', (_, tag, rule) => {
    const { css, html } = converted(
      `<g id="sail${tag}">${sail('#246')}</g><g id="sail hover" display="none">${sail('#579')}</g>`,
    );
    expect(css).toMatch(rule);
    expect(/<button [^>]*type="button"[^>]*>\s*<img /.test(html)).toBe(tag !== '');
  });

  it('of parts are selected through the element that has them', () => {
    const knob = (x: number) =>
      `<rect width="60" height="30" rx="15" fill="#123"/><circle cx="${x}" cy="15" r="10" fill="#eee"/>`;
    const { css } = converted(
      `<g id="switch off">${knob(15)}</g><g id="switch on" display="none">${knob(45)}</g>`,
    );
    expect(css).toMatch(/\[aria-pressed="true"\] \.[\w-]+ \{\n {2}translate: 30px 0;/);
  });
});

it('a developer moves an element and changes a caption without breaking the rest', () => {
  const row = (at: number, text: string) =>
    box(`row${at}x`, 10, 6 + at * 30, 120, 24, word(20, 22 + at * 30, text));
  const { html } = converted(`<g id="berths">${row(0, 'Sund')}${row(1, 'Holm')}${row(2, 'Lunn')}</g>`);
  // Rows stand without coordinates of their own, so that their order is all that places them.
  const items = html.match(/<li [\s\S]*?<\/li>/g) ?? [];
  expect(items).toHaveLength(3);
  for (const item of items) expect(item).not.toMatch(/(left|top|width|height):/);
});
