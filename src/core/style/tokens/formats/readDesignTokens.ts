import { valueKey, type TokenKind } from '../../../look/styleValue';
import { printColour } from '../../../markup/colours';
import { formatNumber } from '../../../markup/numbers';
import { safeName } from '../../../sort/outputNames';
import type { SaidValue } from '../../../sort/facets/values';

/** Names of values from a file of Design Tokens, and what of it was not understood, in words. */
export interface ReadTokens {
  readonly values: readonly SaidValue[];
  readonly refused: readonly string[];
}

interface JsonGroup {
  readonly [key: string]: unknown;
}

const isGroup = (json: unknown): json is JsonGroup =>
  typeof json === 'object' && json !== null && !Array.isArray(json);

/** The most levels of groups: deeper ones are no design. */
const DEEPEST = 12;

/** True for JSON in which some token stands. */
export function hasDesignTokens(json: unknown, depth = 0): boolean {
  if (!isGroup(json) || depth > DEEPEST) return false;
  return '$value' in json || Object.values(json).some((each) => hasDesignTokens(each, depth + 1));
}

/**
 * The colours and lengths of a file of Design Tokens (Design Tokens Format Module 2025.10, §5, §6 and §8; from memory) as
 * names of values. A token without a type has that of the group around it; an alias is followed to its value.
 */
export function readDesignTokens(json: unknown): ReadTokens {
  const values = new Map<string, SaidValue>();
  const refused: string[] = [];
  const visit = (group: JsonGroup, path: readonly string[], type: string | null): void => {
    const own = typeof group.$type === 'string' ? group.$type : type;
    if ('$value' in group) {
      const read = valueOf(resolved(group.$value, json, 0), own, path);
      const name = nameOf(path);
      if (!read || name === '') refused.push(`${path.join('.')}: only colours and lengths in px are taken.`);
      else if (!values.has(valueKey(read))) values.set(valueKey(read), { ...read, name });
      return;
    }
    if (path.length > DEEPEST) return;
    for (const [key, each] of Object.entries(group))
      if (!key.startsWith('$') && isGroup(each)) visit(each, [...path, key], own);
  };
  if (isGroup(json)) visit(json, [], null);
  return { values: withoutTwins([...values.values()], refused), refused };
}

/** The last part of a token's path; with the group before it where that says more than its kind. */
function nameOf(path: readonly string[]): string {
  const [group = '', own = ''] = path.slice(-2);
  const last = safeName(path.at(-1) ?? '');
  const isKind = /^(?:colou?rs?|spac(?:e|ing)|sizes?|dimensions?|radi(?:us|i)|text|fonts?|shadows?)$/i.test(
    group,
  );
  return path.length < 2 || isKind ? last : safeName(`${group}-${own}`);
}

/** Two values may not have one name. */
function withoutTwins(values: readonly SaidValue[], refused: string[]): readonly SaidValue[] {
  const taken = new Set<string>();
  return values.filter(({ name = '', value }) => {
    const isFree = !taken.has(name);
    if (!isFree) refused.push(`${name}: another value than ${value} has this name already.`);
    taken.add(name);
    return isFree;
  });
}

/** The value behind an alias such as `{color.ink}`. */
function resolved(value: unknown, root: unknown, depth: number): unknown {
  const alias = typeof value === 'string' ? /^\{([^{}]+)\}$/.exec(value)?.[1] : undefined;
  if (alias === undefined || depth > DEEPEST) return value;
  let at: unknown = root;
  for (const key of alias.split('.')) at = isGroup(at) && Object.hasOwn(at, key) ? at[key] : undefined;
  return isGroup(at) && '$value' in at ? resolved(at.$value, root, depth + 1) : undefined;
}

function valueOf(
  value: unknown,
  type: string | null,
  path: readonly string[],
): Pick<SaidValue, 'kind' | 'value'> | null {
  if (type === 'color') {
    const css = colourText(value);
    return css === null ? null : { kind: 'colour', value: css };
  }
  if (type !== 'dimension' || !isGroup(value) || value.unit !== 'px' || typeof value.value !== 'number')
    return null;
  if (!(value.value > 0)) return null;
  return { kind: lengthKind(path), value: `${formatNumber(value.value, 3)}px` };
}

/** What a length is for, by the names of its groups; a distance where they do not say. */
function lengthKind(path: readonly string[]): Extract<TokenKind, 'text' | 'space' | 'radius'> {
  const words = path.join(' ').toLowerCase();
  if (/radi(?:us|i)|corner|round/.test(words)) return 'radius';
  return /\b(?:text|font|type)\b/.test(words) ? 'text' : 'space';
}

/** A colour as the style sheet writes it; null for one outside of sRGB. */
function colourText(value: unknown): string | null {
  if (!isGroup(value) || value.colorSpace !== 'srgb' || !Array.isArray(value.components)) return null;
  const [r, g, b] = value.components as readonly unknown[];
  if (typeof r !== 'number' || typeof g !== 'number' || typeof b !== 'number') return null;
  const alpha = typeof value.alpha === 'number' ? value.alpha : 1;
  const whole = (share: number) => Math.round(Math.min(1, Math.max(0, share)) * 255);
  return printColour({ r: whole(r), g: whole(g), b: whole(b), alpha });
}
