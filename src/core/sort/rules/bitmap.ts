import { measureOf } from '../facts';
import { px, type Rule } from './rule';

/** Bitmaps are pictures. */
export const bitmap: Rule = {
  name: 'bitmap',
  judge(layer, facts) {
    if (layer.kind !== 'bitmap') return null;
    const { painted } = measureOf(facts, layer.id);
    const natural = facts.mockup.bitmaps[layer.bitmap];
    const shown = painted ? `${px(painted.width)}×${px(painted.height)} px` : 'nothing';
    const own = natural ? `, drawn from ${natural.width}×${natural.height}` : '';
    return { outcome: 'picture', reason: `raster picture: a bitmap shown at ${shown}${own}` };
  },
};
