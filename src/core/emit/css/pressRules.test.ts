import { box, converted, word } from '../../../../tests/support/flowed';

const link = (y: number, ink: string) =>
  `<g id="way${y} [a href=/sund]"><text x="8" y="${y}" font-size="10" font-family="Commissioner" fill="${ink}">Sund ${y}</text></g>`;
const button = (fill: string) =>
  `<g id="book [button]"><rect x="8" y="60" width="86" height="30" fill="${fill}"/>${word(14, 78, 'Book')}</g>`;
const ground = (fill: string) => `<rect id="ground" width="200" height="100" fill="${fill}"/>`;

const ringOf = (css: string) => {
  const ring = /outline: 2px solid ([^;]+);/.exec(css)![1]!;
  const name = /^var\((.*)\)$/.exec(ring)?.[1];
  return name === undefined ? ring : new RegExp(`${name}: ([^;]+);`).exec(css)![1];
};

describe('what is pressed', () => {
  it('answers the pointer and the keyboard, in one block under a comment', () => {
    const { css } = converted(`${ground('#fff')}${link(20, '#036')}${button('#0a5f8a')}`);
    expect(css).toMatch(
      /\/\* What is pressed .* Delete them .*\*\/\n:where\(.*\):hover \{\n {2}filter: brightness\(0.92\)/,
    );
    expect(ringOf(css)).toBe('#0a5f8a');
    expect(css).not.toMatch(/outline: none/);
  });

  it('has a ring that stands out from the ground: of the links where buttons are pale, else black or white', () => {
    const pale = converted(`${ground('#fff')}${link(20, '#036')}${button('#dfe')}`);
    expect(ringOf(pale.css)).toBe('#036');
    const dark = converted(`${ground('#102030')}${link(20, '#123')}${button('#234')}`);
    expect(ringOf(dark.css)).toBe('#fff');
    expect(dark.css).toMatch(/brightness\(1.08\)/);
  });

  it('has the ring around the whole field', () => {
    const { css } = converted(
      `${ground('#fff')}<g id="from [field]"><rect x="8" y="10" width="120" height="30" fill="#fff" stroke="#888"/>${word(14, 28, 'From')}</g>`,
    );
    expect(css).toMatch(/label :focus-visible\) \{\n {2}outline: none/);
  });

  it('is nothing on a page without controls, and at fixed places', () => {
    expect(converted(box('card', 8, 8, 90, 40, word(14, 30, 'Sund'))).css).not.toMatch(/:hover/);
    expect(converted(link(20, '#036'), {}, 'nested').css).not.toMatch(/:hover/);
  });

  it('gives way to the states that the mockup draws', () => {
    const version = `<g id="book hover" display="none"><rect x="8" y="60" width="86" height="30" fill="#f80"/>${word(14, 78, 'Book')}</g>`;
    const { css } = converted(
      `${ground('#fff')}${link(20, '#036')}<g id="menu">${button('#0a5f8a')}${version}</g>`,
    );
    expect(css).toMatch(/\.book:hover \{\n {2}filter: none;\n\}/);
  });
});
