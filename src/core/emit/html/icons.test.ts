import { convertReading, emitted, readInside } from '../../../../tests/support/mockups';
import type { ConvertOptions } from '../../convert';

const anchor = (id: string, x: number, ink: string) =>
  `<g id="${id}"><path d="M${x} 10l8 4 3 9-9 5-7-4z" fill="${ink}"/><path d="M${x + 2} 20c4 -9 7 3 9 5z" fill="${ink}"/></g>`;
const PIER =
  `<rect width="200" height="100" fill="#fff"/><text x="10" y="60" font-size="12" font-family="Commissioner" fill="#223">Sund</text>` +
  `<text x="10" y="80" font-size="12" font-family="Commissioner" fill="#223">Holm</text>` +
  `<text x="10" y="96" font-size="9" font-family="Commissioner" fill="#223">Lunn</text>`;

function written(content: string, more: Partial<ConvertOptions> = {}) {
  const conversion = convertReading(
    readInside(`${PIER}${content}`),
    more.arrangement ?? 'flow',
    new Map(),
    more,
  );
  return {
    html: emitted(conversion, 'index.html'),
    css: emitted(conversion, 'styles.css'),
    held: conversion.emission.heldPictures ?? [],
  };
}

describe('icons of one colour', () => {
  it('are symbols in the page, used in their own colour', () => {
    const { html, css, held } = written(anchor('anchor', 100, '#c20'));
    expect(html).toMatch(
      /<svg [^>]*width="\d+" height="\d+" color="#c20" [^>]*>\s*<use href="#icon-anchor" \/>/,
    );
    expect(html).toMatch(/<svg hidden aria-hidden="true">\s*<symbol id="icon-anchor" viewBox="[^"]+">/);
    expect(html).toContain('fill="currentColor"');
    expect(html).not.toContain('<img');
    expect(css).toContain(':is(img, svg)');
    expect(held).toEqual(['anchor']);
  });

  it('say no colour where it is that of the words', () => {
    expect(written(anchor('anchor', 100, '#223')).html).not.toContain(' color="');
  });

  it('that are drawn alike in other colours share a symbol', () => {
    const { html, held } = written(`${anchor('red', 100, '#c20')}${anchor('blue', 140, '#04c')}`);
    expect(held).toHaveLength(2);
    expect(html.match(/<symbol /g)).toHaveLength(1);
    expect(html.match(/<use href="#icon-red" \/>/g)).toHaveLength(2);
  });

  it('have ids that no element has which a link leads to', () => {
    const target = '<g id="icon-anchor"><rect x="10" y="2" width="60" height="8" fill="#eee"/></g>';
    const link =
      '<a href="#icon-anchor"><text x="90" y="80" font-size="12" font-family="Commissioner" fill="#223">Ebb</text></a>';
    const { html } = written(`${target}${link}${anchor('anchor', 100, '#c20')}`);
    const ids = [...html.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
    expect(ids).toContain('icon-anchor');
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('are files where a person wants them so, and at fixed places', () => {
    const icon = anchor('anchor', 100, '#c20');
    expect(written(icon, { settings: { icons: 'files' } }).html).toContain('src="pictures/anchor.svg"');
    expect(written(icon, { arrangement: 'nested' }).html).toContain('src="pictures/anchor.svg"');
  });
});
