import type { Rule } from './rule';

/** Text stays text. */
export const text: Rule = {
  name: 'text',
  judge(layer, facts) {
    if (layer.kind !== 'text') return null;
    const runs = layer.lines.flatMap((line) => line.runs);
    const face = runs[0] && facts.mockup.faces[runs[0].face];
    const lines = layer.lines.length === 1 ? 'one line' : `${layer.lines.length} lines`;
    return { outcome: 'element', reason: `element: text in ${lines}, set in ${face?.family ?? 'its font'}` };
  },
};
