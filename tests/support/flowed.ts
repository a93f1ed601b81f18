import { convertReading, emitted, readInside, readText } from './mockups';
import type { Tag } from '../../src/core/sort/tag';
import { walkNodes } from '../../src/core/page/walk';
import type { BoxNode } from '../../src/core/page/node';

export const box = (id: string, x: number, y: number, width: number, height: number, inside = '') =>
  `<g id="${id}"><rect x="${x}" y="${y}" width="${width}" height="${height}" fill="#fff"/>${inside}</g>`;
export const word = (x: number, y: number, text: string) =>
  `<text x="${x}" y="${y}" font-size="10" font-family="Commissioner">${text}</text>`;

export function converted(
  content: string,
  tags: Record<string, Tag> = {},
  arrangement: 'flow' | 'nested' = 'flow',
) {
  return convertedOf(readInside(content), tags, arrangement);
}

export function convertedOf(
  reading: ReturnType<typeof readText>,
  tags: Record<string, Tag> = {},
  arrangement: 'flow' | 'nested' = 'flow',
) {
  const conversion = convertReading(reading, arrangement, new Map(Object.entries(tags)));
  const nodes = walkNodes(conversion.pages[0]!.children);
  const node = (name: string): BoxNode => {
    const found = nodes.find(
      (each) => each.path.endsWith(`/${name}`) && each.kind === 'box' && !each.anonymous,
    );
    if (found?.kind !== 'box') throw new Error(`There is no box ${name}`);
    return found;
  };
  return {
    html: emitted(conversion, 'index.html'),
    css: emitted(conversion, 'styles.css'),
    node,
    page: conversion.pages[0]!,
    findings: conversion.findings,
  };
}

/** A row of three equal cabins. */
export const deck = `<g id="deck"><rect width="200" height="60" fill="#eee"/>${[0, 1, 2]
  .map((at) =>
    box(`cabin${at}x`, 8 + at * 63, 8, 58, 44, word(14 + at * 63, 30, ['Sund', 'Holm', 'Lunn'][at]!)),
  )
  .join('')}</g>`;
