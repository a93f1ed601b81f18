import { boxForm } from '../../look/boxForm';
import type { GroupLayer } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import { nameWords } from '../nameWords';
import { measureOf } from '../facts';
import type { Rule } from './rule';

/** Common practice, no source: how people name what they only draw by. */
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
/** So many like lines or columns over the whole screen are a grid to draw by. */
const LINES = 6;
const SPAN = 0.9;

/** A layer that is named as a help for drawing, or a grid over the whole screen, is not on the page. */
export const guides: Rule = {
  name: 'guides',
  judge(layer, facts) {
    const word = nameWords(splitName(layer.sourceName ?? '').bare).find((candidate) => NAMES.has(candidate));
    if (word !== undefined) return { outcome: 'aside', reason: `aside: its name says "${word}"` };
    if (layer.kind !== 'group' || layer.layers.length < LINES || !layer.layers.every(isLine)) return null;
    const { painted } = measureOf(facts, layer.key);
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

/** Grids to draw by let the drawing through. */
function isFaint(group: GroupLayer): boolean {
  const clear = group.layers.filter((layer) => {
    if (layer.kind !== 'shape') return false;
    const fill = layer.fill?.kind === 'solid' ? layer.fill.colour.alpha : layer.fill ? 1 : 0;
    return group.opacity * layer.opacity * fill < 0.5;
  });
  return clear.length === group.layers.length;
}
