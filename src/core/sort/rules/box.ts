import { formName } from '../../look/formName';
import type { ShapeLayer } from '../../mockup/layer';
import type { Rule } from './rule';

/** Boxes, rules, circles and borders that the target draws exactly are elements. */
export const box: Rule = {
  name: 'box',
  judge(layer, { capabilities }) {
    if (layer.kind !== 'shape') return null;
    return {
      outcome: 'element',
      reason: `element: ${describe(layer)}, ${capabilities.name} says this exactly`,
    };
  },
};

function describe(layer: ShapeLayer): string {
  const form = formName(layer);
  const name = `${/^[aeiou]/.test(form) ? 'an' : 'a'} ${form}`;
  const parts: string[] = [];
  if (layer.fill) parts.push(layer.fill.kind === 'solid' ? 'a flat fill' : 'a gradient');
  if (layer.stroke) parts.push(layer.stroke.dashes.length > 0 ? 'dashes' : 'a border');
  const shadows = layer.effects.filter(
    ({ kind }) => kind === 'drop-shadow' || kind === 'inner-shadow',
  ).length;
  if (shadows > 0) parts.push(shadows === 1 ? 'one shadow' : `${shadows} shadows`);
  if (layer.effects.some((effect) => effect.kind === 'blur')) parts.push('a blur');
  return parts.length > 0 ? `${name} with ${parts.join(', ')}` : name;
}
