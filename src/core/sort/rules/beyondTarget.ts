import { limitation } from '../../look/neededFeatures';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** A layer that the target cannot draw as an element is a picture; the reason names the feature and the target. */
export const beyondTarget: Rule = {
  name: 'beyond-target',
  judge(layer, facts) {
    const why = limitation(layer, measureOf(facts, layer.id).matrix, facts.capabilities);
    return why === null ? null : { outcome: 'picture', reason: `vector picture: ${why}` };
  },
};
