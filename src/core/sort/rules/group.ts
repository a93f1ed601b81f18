import type { GroupLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import type { Rule } from './rule';

/** All remaining groups are containers of the page. */
export const group: Rule = {
  name: 'group',
  judge(layer, facts) {
    if (layer.kind !== 'group') return null;
    const count = layer.layers.length;
    const photos = photoShare(layer, facts);
    return {
      outcome: 'element',
      reason: `element: a group of ${count === 1 ? 'one layer' : `${count} layers`}${photos > 0.005 ? `, ${Math.round(photos * 100)}% of it is a photo` : ''}`,
    };
  },
};

/** The share of the group's box covered by its bitmaps, overlaps counted twice, 0–1. */
function photoShare(group: GroupLayer, facts: Facts): number {
  if (facts.contents(group).bitmaps === 0) return 0;
  const whole = areaOf(group.id, facts);
  let covered = 0;
  for (const part of walk(group))
    if (part.kind === 'bitmap' && part.visible) covered += areaOf(part.id, facts);
  return whole === 0 ? 0 : Math.min(1, covered / whole);
}

function areaOf(key: string, facts: Facts): number {
  const { painted } = measureOf(facts, key);
  return painted ? painted.width * painted.height : 0;
}
