import { layerTitle } from '../../look/layerTitle';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** Hidden and empty layers are aside. */
export const unseen: Rule = {
  name: 'unseen',
  judge(layer, facts) {
    if (!layer.visible) {
      const twin = facts.twins.get(layer.id);
      const reason = twin
        ? `it is hidden and lies on ${layerTitle(twin).text}; say which state of it`
        : 'it is hidden in the mockup';
      return { outcome: 'aside', reason: `aside: ${reason}` };
    }
    const { painted } = measureOf(facts, layer.id);
    if (!painted || painted.width <= 0 || painted.height <= 0)
      return { outcome: 'aside', reason: 'aside: it draws nothing' };
    return null;
  },
};
