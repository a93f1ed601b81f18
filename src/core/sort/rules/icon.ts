import { boxForm } from '../../look/boxForm';
import type { GroupLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import { measureOf } from '../facts';
import { isSet } from '../pictureSets';
import { px, type Rule } from './rule';

/** Common practice, no source: icons and small logos are drawn within about this many px. */
const ICON_SIDE = 128;

/**
 * A group of only shapes, most of them free-form, is one drawing: an icon when small, else an illustration.
 */
export const icon: Rule = {
  name: 'icon',
  judge(layer, facts) {
    if (layer.kind !== 'group') return null;
    const { texts, bitmaps, shapes } = facts.contents(layer);
    const { painted } = measureOf(facts, layer.id);
    if (texts > 0 || bitmaps > 0 || shapes === 0 || !painted || isSet(layer, facts)) return null;
    const free = countFreeShapes(layer);
    const small = painted.width <= ICON_SIDE && painted.height <= ICON_SIDE;
    if (free === 0 || (!small && free < shapes / 2)) return null;
    const within = `within ${px(painted.width)}×${px(painted.height)} px`;
    return { outcome: 'picture', reason: `vector picture: ${count(shapes, free)} ${within}` };
  },
};

function countFreeShapes(group: GroupLayer): number {
  return walk(group).filter((layer) => layer.kind === 'shape' && !boxForm(layer)).length;
}

function count(shapes: number, free: number): string {
  return shapes === 1 ? 'a free shape' : `${shapes} shapes, ${free} of them free,`;
}
