import { parse } from 'culori';
import { formatNumber } from '../../../markup/numbers';
import type { TokenKind } from '../../../look/styleValue';
import { coloursIn } from '../valuesIn';
import type { Token } from '../token';

type Json = string | number | boolean | readonly Json[] | { readonly [key: string]: Json };

/** The group and the type of a kind of token (Design Tokens Format Module 2025.10, §6 and §8–9; from memory). */
const GROUPS: Readonly<Record<TokenKind, { readonly group: string; readonly type: string }>> = {
  colour: { group: 'color', type: 'color' },
  font: { group: 'font', type: 'fontFamily' },
  text: { group: 'text', type: 'dimension' },
  space: { group: 'space', type: 'dimension' },
  radius: { group: 'radius', type: 'dimension' },
  shadow: { group: 'shadow', type: 'shadow' },
};

/** The tokens in the format of the W3C Design Tokens Community Group (Format Module 2025.10), a group for each kind. */
export function designTokens(tokens: readonly Token[]): string {
  const file: Record<string, Record<string, Json>> = {};
  for (const { kind, name, value } of tokens) {
    const { group, type } = GROUPS[kind];
    const own = (file[group] ??= { $type: type });
    own[name] = { $value: jsonOf(kind, value) };
  }
  return `${JSON.stringify(file, null, 2)}\n`;
}

function jsonOf(kind: TokenKind, value: string): Json {
  if (kind === 'colour') return colourJson(value);
  if (kind === 'font') return value.split(/\s*,\s*/).map((family) => family.replace(/^"(.*)"$/, '$1'));
  return kind === 'shadow' ? shadowJson(value) : lengthJson(value);
}

function lengthJson(value: string): Json {
  return { value: parseFloat(value), unit: 'px' };
}

function colourJson(value: string): Json {
  const colour = parse(value);
  if (colour?.mode !== 'rgb') throw new Error(`${value} is no colour.`);
  const { r, g, b, alpha = 1 } = colour;
  const components = [r, g, b].map((each) => Number(formatNumber(each, 4)));
  const hex = [r, g, b]
    .map((each) =>
      Math.round(each * 255)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('');
  return { colorSpace: 'srgb', components, alpha: Number(formatNumber(alpha, 4)), hex: `#${hex}` };
}

/** One shadow, or a list of them: offsets, blur and perhaps spread before the colour. */
function shadowJson(value: string): Json {
  const colours = coloursIn(value);
  const layers = colours.map((colour, at): Json => {
    const before = value.slice(colours[at - 1]?.end ?? 0, colour.start);
    const [x = '0', y = '0', blur = '0', spread = '0'] = before.match(/-?[\d.]+(?:px)?/g) ?? [];
    return {
      color: colourJson(colour.value),
      offsetX: lengthJson(x),
      offsetY: lengthJson(y),
      blur: lengthJson(blur),
      spread: lengthJson(spread),
      inset: /\binset\b/.test(before),
    };
  });
  return layers.length === 1 ? layers[0]! : layers;
}
