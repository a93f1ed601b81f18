import { box, word, converted } from '../../../../../tests/support/flowed';
import { walkNodes } from '../../walk';
import type { Page } from '../../frame';

describe('room for longer words', () => {
  const stretched = (x: number, y: number, text: string, length: number) =>
    `<text x="${x}" y="${y}" font-size="10" font-family="Commissioner" textLength="${length}" lengthAdjust="spacingAndGlyphs">${text}</text>`;
  const disc = (letters: string) =>
    `<g id="face"><rect x="10" y="10" width="40" height="40" rx="20" fill="#246"/>${word(24, 34, letters)}<circle id="light" cx="46" cy="46" r="4" fill="#3a3"/></g>`;
  const wrapsOf = (page: Page) =>
    walkNodes(page.children).flatMap((each) => (each.kind === 'text' ? [each.wraps] : []));

  it('an avatar keeps its size, and its edge badge keeps its place', () => {
    const { node } = converted(`${disc('VH')}${word(70, 34, 'Vigdis Holm')}`);
    expect(node('face').place).toMatchObject({ widthMode: 'rigid', width: 40 });
    expect(node('light').place).toMatchObject({ kind: 'fixed', pins: { x: 'end', y: 'end' } });
  });

  it('a disc with a number on it is as wide as the number', () => {
    const count = `<g id="count"><rect x="60" y="10" width="20" height="20" rx="10" fill="#246"/>${word(67, 24, '8')}</g>`;
    const { css } = converted(`<g id="unread">${word(10, 24, 'Notices')}${count}</g>`);
    expect(css).toMatch(/\.count \{/);
    expect(css).not.toMatch(/width: 20px/);
  });

  it('words at the end of a row with free space get no extra width: it would move them', () => {
    const bar = `<g id="bar">${stretched(10, 24, 'Berths', 34)}${stretched(116, 24, 'Day', 22)}${stretched(150, 24, 'Night', 30)}</g>`;
    const { page } = converted(
      `<g id="card"><rect width="190" height="80" fill="#eee"/>${bar}<g id="note">${stretched(10, 54, 'Berths and lights of the quay', 150)}</g></g>`,
    );
    const words = walkNodes(page.children).filter(({ path }) => path.includes('/bar/'));
    expect(words).toHaveLength(3);
    for (const { place } of words) {
      if (place.kind !== 'flow') throw new Error('The words do not flow.');
      // Letters are as wide as they are, and no px more.
      expect([place.linear, place.margin.right]).toEqual([null, 0]);
    }
  });

  it('an absolute box in the middle grows to both sides', () => {
    const seal = `<g id="seal"><rect x="80" y="40" width="40" height="20" fill="#fff"/>${word(95, 54, 'or')}</g>`;
    const { css } = converted(
      `<g id="card"><rect width="200" height="50" fill="#eee"/>${word(8, 20, 'Sund')}${seal}</g>`,
    );
    expect(css).toMatch(/\.seal \{[^}]*width: fit-content;\s+margin-left: auto;\s+margin-right: auto;/);
  });

  it('an absolute line has the width of its words, and stays one line', () => {
    const { html, css } = converted(
      `<g id="ramp"><rect x="0" y="0" width="120" height="40" fill="#eee"/>${word(8, 24, 'Car deck')}</g>${word(100, 36, 'closed')}`,
    );
    expect(`${html}${css}`).toMatch(/position: absolute/);
    expect(html).toMatch(/class="[^"]*-line">closed</);
    expect(css).toMatch(/-line \{[^}]*white-space: nowrap/);
    expect(`${html}${css}`).not.toMatch(/width: 2\d\.?\d*px/);
  });

  it('a box with a badge in its corner grows with its words', () => {
    const badge = `<g id="badge"><rect x="56" y="6" width="24" height="20" rx="7" fill="#d33"/>${word(64, 19, '12')}</g>`;
    const { node } = converted(
      `<g id="bell"><rect x="10" y="6" width="70" height="30" fill="#eee"/>${word(10, 30, 'Departures')}${badge}</g>`,
    );
    expect(node('bell').place).toMatchObject({ widthMode: 'fit' });
  });

  it('parts at both ends of a row leave the space between them free', () => {
    const pier = box('pier', 136, 10, 60, 30, word(140, 28, 'To the pier'));
    const { node } = converted(
      `<g id="head"><rect width="200" height="50" fill="#eee"/>${word(4, 28, 'Orden')}<g id="ways">${word(124, 28, 'A')}${pier}</g></g>`,
    );
    expect(node('head').layout).toMatchObject({ justify: 'between' });
    expect(node('ways').place).toMatchObject({ widthMode: 'fit' });
  });

  it('words at the end of a full row have a px to spare', () => {
    const way = (id: string, x: number, width: number, text: string) =>
      box(
        id,
        x,
        20,
        width,
        20,
        `${word(x + 4, 34, text)}<rect x="${x + width - 8}" y="26" width="4" height="8"/>`,
      );
    const { node } = converted(
      `<g id="ways"><rect width="200" height="60" fill="#eee"/>${way('sund', 0, 40, 'Sund')}${way('holm', 52, 48, 'Holm')}${way('lunn', 112, 88, 'Lunn and Ebb')}</g>`,
    );
    expect(node('lunn').place).toMatchObject({ margin: { right: -1 } });
  });

  it('a button beside other parts does not take the rest', () => {
    const { html, css } = converted(
      `<g id="foot"><rect width="200" height="50" fill="#eee"/>${word(4, 28, 'Any day this season')}
        <g id="book [button]"><rect x="110" y="10" width="86" height="30" fill="#06c"/>${word(114, 28, 'Book')}<circle cx="180" cy="24" r="6"/></g></g>`,
    );
    expect(html).toMatch(/<button/);
    expect(css).toMatch(/\.foot > button \{/);
    expect(`${html}${css}`).not.toMatch(/flex: 1/);
  });

  it('stretched words wrap where there is more room than they take, and in parts of their own width', () => {
    const { page } = converted(
      `<g id="deck"><rect width="200" height="80" fill="#eee"/>${box('pass', 120, 10, 70, 24, stretched(126, 26, 'Day ticket', 58))}
        ${stretched(8, 70, 'Any day this season', 120)}</g>`,
    );
    expect(wrapsOf(page)).toEqual(['freely', 'freely']);
  });
});
