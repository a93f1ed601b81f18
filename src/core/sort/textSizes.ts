import type { Measures } from '../mockup/bounds';
import type { TextLayer } from '../mockup/layer';

/** The size of a text's largest letters, whole px of the screen. */
export function sizeOnScreen(text: TextLayer, measures: Measures): number {
  const scale = Math.abs(measures.get(text.id)?.matrix[3] ?? 1);
  const sizes = text.lines.flatMap((line) => line.runs.map((run) => run.style.size));
  return Math.round(Math.max(...sizes) * scale);
}
