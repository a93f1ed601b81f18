import { layerNamed, readInside } from '../../../tests/support/mockups';
import { layerTitle } from '../look/layerTitle';
import type { GroupLayer } from '../mockup/layer';
import { pairParts, type Labels } from './counterparts';

const word = (x: number, y: number, text: string) =>
  `<text x="${x}" y="${y}" font-family="Commissioner" font-size="12">${text}</text>`;
const card = (name: string, x: number, words: readonly (readonly [number, string])[]) =>
  `<g id="${name}"><rect x="${x}" width="90" height="100" fill="#fff"/>${words.map(([y, text]) => word(x + 8, y, text)).join('')}<circle cx="${x + 80}" cy="90" r="4"/></g>`;

/** The pairs of two cards by their titles. */
function pairs(one: string, other: string, labels?: Labels): readonly string[] {
  const reading = readInside(one + other);
  const group = (name: string) => layerNamed(reading, name) as GroupLayer;
  const { pairs, onlyOne, onlyOther } = pairParts(group('one'), group('two'), labels);
  const title = (layer: Parameters<typeof layerTitle>[0]) => layerTitle(layer).text;
  return [
    ...pairs.map(([first, second]) => `${title(first)} = ${title(second)}`),
    ...onlyOne.map((part) => `${title(part)} –`),
    ...onlyOther.map((part) => `– ${title(part)}`),
  ];
}

describe('parts of like-built layers', () => {
  it('correspond by place, where one is missing', () => {
    const one = card('one', 0, [
      [20, 'Skerry'],
      [40, 'Breakfast'],
      [60, '120 kr'],
    ]);
    const two = card('two', 100, [
      [20, 'Auk'],
      [60, 'free'],
    ]);
    expect(pairs(one, two)).toEqual([
      'box = box',
      'Skerry = Auk',
      '120 kr = free',
      'circle = circle',
      'Breakfast –',
    ]);
  });

  it('correspond by their words, where a missing label moves the others up', () => {
    const one = card('one', 0, [
      [20, 'Sale'],
      [40, 'Skerry'],
      [60, 'two nights'],
      [80, '120 kr'],
    ]);
    const two = card('two', 100, [
      [20, 'Auk'],
      [40, 'one night'],
      [60, '90 kr'],
    ]);
    expect(pairs(one, two, new Set(['Sale']))).toEqual([
      'box = box',
      'Skerry = Auk',
      'two nights = one night',
      '120 kr = 90 kr',
      'circle = circle',
      'Sale –',
    ]);
  });
});
