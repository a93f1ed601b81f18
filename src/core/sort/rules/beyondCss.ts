import { unsayable } from '../../look/sayable';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** What CSS cannot say is a picture, with the property that is to blame. */
export const beyondCss: Rule = {
  name: 'beyond-css',
  judge(layer, facts) {
    const why = unsayable(layer, measureOf(facts, layer.key).matrix);
    return why === null ? null : { outcome: 'picture', reason: `vector picture: ${why}` };
  },
};
