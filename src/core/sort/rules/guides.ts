import { boxForm } from '../../look/boxForm';
import type { GroupLayer } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import { nameWords } from '../nameWords';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** Common practice, no source: names of drawing aids. */
const NAMES: ReadonlySet<string> = new Set([
  'guide',
  'guides',
  'guideline',
  'guidelines',
  'gridlines',
  'redline',
  'redlines',
  'annotation',
  'annotations',
  'measurements',
]);
/** This many like lines or columns over the whole screen are a layout grid. */
const FEWEST_LINES = 6;
const SPAN = 0.9;

/** A layer named as a drawing aid, or a layout grid over the whole screen, is aside. */
export const guides: Rule = {
  name: 'guides',
  judge(layer, facts) {
    const word = nameWords(splitName(layer.sourceName ?? '').bare).find((candidate) => NAMES.has(candidate));
    if (word !== undefined) return { outcome: 'aside', reason: `aside: its name says "${word}"` };
    if (layer.kind !== 'group' || layer.layers.length < FEWEST_LINES || !layer.layers.every(isLine))
      return null;
    const { painted } = measureOf(facts, layer.id);
    const { width, height } = facts.screen;
    const whole = painted && painted.width >= SPAN * width && painted.height >= SPAN * height;
    if (!whole || !isFaint(layer)) return null;
    return {
      outcome: 'aside',
      reason: `aside: a grid of ${layer.layers.length} lines over the whole screen`,
    };
  },
};

function isLine(layer: GroupLayer['layers'][number]): boolean {
  if (layer.kind !== 'shape') return false;
  const form = boxForm(layer);
  if (!form) return false;
  const { width, height } = form.box;
  return form.kind === 'rule' || Math.max(width, height) >= 8 * Math.min(width, height);
}

/** Layout grids are translucent. */
function isFaint(group: GroupLayer): boolean {
  const clear = group.layers.filter((layer) => {
    if (layer.kind !== 'shape') return false;
    const fill = layer.fill?.kind === 'solid' ? layer.fill.colour.alpha : layer.fill ? 1 : 0;
    return group.opacity * layer.opacity * fill < 0.5;
  });
  return clear.length === group.layers.length;
}
