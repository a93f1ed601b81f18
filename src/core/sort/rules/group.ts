import type { Rule } from './rule';

/** What is left are groups: containers of the page. */
export const group: Rule = {
  name: 'group',
  judge(layer) {
    if (layer.kind !== 'group') return null;
    const count = layer.layers.length;
    return {
      outcome: 'element',
      reason: `element: a group of ${count === 1 ? 'one layer' : `${count} layers`}`,
    };
  },
};
