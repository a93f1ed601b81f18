import type { TextRun } from '../mockup/layer';
import type { Matrix } from '../mockup/matrix';
import { pathData, transformOutline } from '../mockup/outline';
import { formatNumber } from '../markup/numbers';

/** True for letters in solid colours. */
export function isPlainlyPainted({ fill, stroke }: TextRun): boolean {
  return [fill, stroke?.paint].every((paint) => !paint || paint.kind === 'solid');
}

export function moved(d: string, matrix: Matrix): string {
  return pathData(transformOutline({ kind: 'path', d, rule: 'nonzero' }, matrix));
}

export function printMatrix(matrix: Matrix, decimals = 6): string {
  const [a, b, c, d, e, f] = matrix;
  const round = (value: number) => formatNumber(value, decimals);
  if (a === 1 && b === 0 && c === 0 && d === 1) return `translate(${round(e)} ${round(f)})`;
  return `matrix(${[a, b, c, d, e, f].map(round).join(' ')})`;
}

export function decorationLines({ style }: TextRun): number[] {
  const lines: number[] = [];
  if (style.underline) lines.push(style.size * 0.11);
  if (style.lineThrough) lines.push(-style.size * 0.3);
  if (style.overline) lines.push(-style.size * 0.9);
  return lines;
}
