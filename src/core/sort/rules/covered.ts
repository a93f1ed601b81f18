import { layerTitle } from '../../look/layerTitle';
import type { Rule } from './rule';

/** What lies wholly under an opaque box is not seen. */
export const covered: Rule = {
  name: 'covered',
  judge(layer, facts) {
    const cover = facts.covered.get(layer.key);
    return cover ? { outcome: 'aside', reason: `aside: ${layerTitle(cover).text} covers it wholly` } : null;
  },
};
