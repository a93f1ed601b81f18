import { layerTitle } from '../../look/layerTitle';
import { intersection, type Box } from '../../mockup/box';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** Hidden, empty and off-screen layers are aside. */
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
    if (layer.opacity === 0) return { outcome: 'aside', reason: 'aside: its opacity is 0' };
    const { painted } = measureOf(facts, layer.id);
    if (!painted || painted.width <= 0 || painted.height <= 0)
      return { outcome: 'aside', reason: 'aside: it draws nothing' };
    const screen: Box = { x: 0, y: 0, width: facts.screen.width, height: facts.screen.height };
    const seen = intersection(painted, screen);
    const touches = seen !== null && seen.width > 0 && seen.height > 0;
    return touches ? null : { outcome: 'aside', reason: 'aside: it lies wholly outside of the screen' };
  },
};
