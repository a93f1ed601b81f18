import type { RoleRule } from './roleRule';

/** Common practice, no source: texts with more letters are no labels. */
const LABEL_LETTERS = 40;

/** The role that the layer's kind suggests. */
export const byKind: RoleRule = (layer) => {
  if (layer.kind !== 'text') return { role: 'box', reason: 'nothing says more' };
  const letters = layer.lines.reduce(
    (sum, line) => sum + line.runs.reduce((all, run) => all + run.text.length, 0),
    0,
  );
  return layer.lines.length > 1 || letters > LABEL_LETTERS
    ? { role: 'paragraph', reason: `${letters} letters in ${layer.lines.length === 1 ? 'a line' : 'lines'}` }
    : { role: 'text', reason: 'a short text' };
};
