import type { RoleRule } from './roleRule';

/** Common practice, no source: longer than a label. */
const LABEL_LETTERS = 40;

/** What the kind of layer suggests when nothing else does. */
export const byKind: RoleRule = (layer, outcome) => {
  if (outcome === 'picture') return { role: 'picture', reason: 'it is a picture' };
  if (layer.kind !== 'text') return { role: 'box', reason: 'nothing says more' };
  const letters = layer.lines.reduce(
    (sum, line) => sum + line.runs.reduce((all, run) => all + run.text.length, 0),
    0,
  );
  return layer.lines.length > 1 || letters > LABEL_LETTERS
    ? { role: 'paragraph', reason: `${letters} letters in ${layer.lines.length === 1 ? 'a line' : 'lines'}` }
    : { role: 'text', reason: 'a short text' };
};
