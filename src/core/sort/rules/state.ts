import { layerTitle } from '../../look/layerTitle';
import type { Rule } from './rule';

/** A state version of another layer is not on the page beside it. */
export const state: Rule = {
  name: 'state',
  judge(layer, facts) {
    const version = facts.states.get(layer.id);
    if (!version) return null;
    return {
      outcome: 'aside',
      reason: `aside: it shows ${layerTitle(version.base).text} in the state ${version.state}`,
    };
  },
};
