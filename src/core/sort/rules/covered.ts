import { layerTitle } from '../../look/layerTitle';
import type { Rule } from './rule';

/** A layer completely under an opaque box is aside. */
export const covered: Rule = {
  name: 'covered',
  judge(layer, facts) {
    const cover = facts.covered.get(layer.id);
    return cover ? { outcome: 'aside', reason: `aside: ${layerTitle(cover).text} covers it wholly` } : null;
  },
};
