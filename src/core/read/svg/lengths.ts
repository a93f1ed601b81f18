import { calc } from '@csstools/css-calc';

/** CSS px in one of each absolute unit (CSS Values 4, §6.2). */
const UNITS: Readonly<Record<string, number>> = {
  '': 1,
  px: 1,
  pt: 96 / 72,
  pc: 16,
  in: 96,
  cm: 96 / 2.54,
  mm: 96 / 25.4,
  q: 96 / 101.6,
};

export interface LengthContext {
  readonly fontSize: number;
  /** What 100% is, px. */
  readonly percentOf: number;
}

const LENGTH = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*([a-z%]*)\s*$/i;

/** A length in px, or null when the text is no finite length. */
export function parseLength(text: string, context: LengthContext): number | null {
  const match = LENGTH.exec(text);
  if (!match) return MATH.test(text) ? parseMath(text, context) : null;
  const value = Number(match[1]);
  if (!Number.isFinite(value)) return null;
  const unit = (match[2] ?? '').toLowerCase();
  const factor = UNITS[unit];
  if (factor !== undefined) return value * factor;
  switch (unit) {
    case 'em':
      return value * context.fontSize;
    case 'rem':
      return value * 16;
    case 'ex':
    case 'ch':
      return (value * context.fontSize) / 2;
    case '%':
      return (value * context.percentOf) / 100;
    default:
      return null;
  }
}

const MATH = /^\s*(?:calc|min|max|clamp)\(/i;
const LONGEST_MATH = 400;
const PART = /(?<![\w-])[+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?(?:[a-z]+|%)(?![\w-])/gi;

/** A math function of lengths and percentages, px (CSS Values 4, §10). */
function parseMath(text: string, context: LengthContext): number | null {
  if (text.length > LONGEST_MATH) return null;
  const inPx = text.replace(PART, (part) => {
    const length = parseLength(part, context);
    return length === null ? part : `${length}px`;
  });
  const result = LENGTH.exec(calc(inPx, { precision: 6 }));
  return result && ['', 'px'].includes(result[2] ?? '') ? Number(result[1]) : null;
}

/** A list of lengths, as in `x="0 10 20"` and `stroke-dasharray`; invalid entries are dropped. */
export function parseLengths(text: string, context: LengthContext): number[] {
  return text
    .split(/[\s,]+/)
    .map((part) => parseLength(part, context))
    .filter((length) => length !== null);
}

/** An opacity, offset or other share: a number or a percentage, clamped to 0–1. */
export function parseShare(text: string, fallback = 1): number {
  if (text === '1') return 1;
  const value = parseLength(text, { fontSize: 0, percentOf: 1 });
  return value === null ? fallback : Math.min(1, Math.max(0, value));
}
