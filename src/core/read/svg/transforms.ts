import { IDENTITY, multiply, rotation, scaling, translation, type Matrix } from '../../mockup/matrix';
import { memoizeText } from '../../mockup/memoize';
import { parseLength } from './lengths';

const FUNCTION = /([a-zA-Z]+)\s*\(([^)]*)\)\s*,?/g;

/**
 * A transform list of an SVG attribute or a CSS property (CSS Transforms 1, §8 and §12).
 * Angles without a unit are degrees. Null when a function is unknown or malformed.
 */
export const parseTransform = memoizeText((text: string): Matrix | null => {
  const trimmed = text.trim();
  if (trimmed === '' || trimmed === 'none') return IDENTITY;
  if (trimmed.replace(FUNCTION, '').trim() !== '') return null;
  let result = IDENTITY;
  for (const [, name = '', list = ''] of trimmed.matchAll(FUNCTION)) {
    const next = readFunction(
      name,
      list
        .trim()
        .split(/[\s,]+/)
        .filter(Boolean),
    );
    if (!next || !next.every(Number.isFinite)) return null;
    result = multiply(result, next);
  }
  return result;
});

function readFunction(name: string, words: readonly string[]): Matrix | null {
  const lengths = words.map((word) => parseLength(word, { fontSize: 16, percentOf: 0 }) ?? NaN);
  const angles = words.map(parseAngle);
  const [first = NaN, second] = lengths;
  const angle = angles[0] ?? NaN;
  const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
  switch (name) {
    case 'matrix':
      return lengths.length === 6 ? (lengths as unknown as Matrix) : null;
    case 'translate':
      return translation(first, second ?? 0);
    case 'translateX':
      return translation(first, 0);
    case 'translateY':
      return translation(0, first);
    case 'scale':
      return scaling(first, second ?? first);
    case 'scaleX':
      return scaling(first, 1);
    case 'scaleY':
      return scaling(1, first);
    case 'rotate': {
      const [, x = 0, y = 0] = lengths;
      return multiply(multiply(translation(x, y), rotation(angle)), translation(-x, -y));
    }
    case 'skewX':
      return [1, 0, tan(angle), 1, 0, 0];
    case 'skewY':
      return [1, tan(angle), 0, 1, 0, 0];
    case 'skew':
      return [1, tan(angles[1] ?? 0), tan(angle), 1, 0, 0];
    default:
      return null;
  }
}

/** An angle in degrees, the default unit. NaN for invalid text. */
export function parseAngle(word: string): number {
  const match = /^([+-]?[\d.]+(?:e[+-]?\d+)?)(deg|rad|grad|turn)?$/i.exec(word);
  if (!match) return NaN;
  const perUnit = { deg: 1, rad: 180 / Math.PI, grad: 0.9, turn: 360 } as const;
  return Number(match[1]) * perUnit[(match[2]?.toLowerCase() ?? 'deg') as keyof typeof perUnit];
}
