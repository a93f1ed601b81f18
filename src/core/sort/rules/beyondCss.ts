import { cssLimitation } from '../../look/cssSupport';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** A layer that CSS cannot draw exactly is a picture; the reason names the property. */
export const beyondCss: Rule = {
  name: 'beyond-css',
  judge(layer, facts) {
    const why = cssLimitation(layer, measureOf(facts, layer.id).matrix);
    return why === null ? null : { outcome: 'picture', reason: `vector picture: ${why}` };
  },
};
