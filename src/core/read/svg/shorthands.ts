import type { Property } from './properties';

const FONT =
  /^(?<before>.*?)(?<size>(?:[\d.]+(?:px|pt|pc|mm|cm|in|em|rem|ex|%)|(?:xx?-)?(?:small|large)|medium|smaller|larger))(?:\s*\/\s*[^\s]+)?\s+(?<family>.+)$/i;

/** The longhands that a shorthand stands for; empty when `name` is no shorthand that drawings use. */
export function expandShorthand(name: string, value: string): [Property, string][] {
  if (name === 'marker') {
    return [
      ['marker-start', value],
      ['marker-mid', value],
      ['marker-end', value],
    ];
  }
  if (name === 'text-decoration-line') return [['text-decoration', value]];
  return name === 'font' ? expandFont(value) : [];
}

/** CSS Fonts 4, §2.7: style, variant and weight in any order, then size, line height and families. */
function expandFont(value: string): [Property, string][] {
  const parts = FONT.exec(value.trim())?.groups;
  if (!parts) return [];
  const words = (parts.before ?? '').trim().toLowerCase().split(/\s+/);
  return [
    ['font-variant', words.includes('small-caps') ? 'small-caps' : 'normal'],
    ['font-style', words.find((word) => word === 'italic' || word === 'oblique') ?? 'normal'],
    ['font-weight', words.find((word) => /^(bold|bolder|lighter|\d{1,4})$/.test(word)) ?? '400'],
    ['font-size', parts.size ?? '16px'],
    ['font-family', parts.family ?? ''],
  ];
}
