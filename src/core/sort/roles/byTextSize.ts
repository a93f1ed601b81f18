import type { TextLayer } from '../../mockup/layer';
import { measureOf, type Facts } from '../facts';
import { px } from '../rules/rule';
import type { Role } from '../vocabulary';
import type { RoleRule } from './roleRule';

/** Common practice, no source: a heading is short. */
const HEADING_LETTERS = 90;

/** The size of a text's largest letters, whole px of the screen. */
export function sizeOnScreen(layer: TextLayer, facts: Facts): number {
  const scale = Math.abs(measureOf(facts, layer.key).matrix[3]);
  const sizes = layer.lines.flatMap((line) => line.runs.map((run) => run.style.size));
  return Math.round(Math.max(...sizes) * scale);
}

/** A short text larger than the body is a heading, its level by the order of sizes on the screen. */
export const byTextSize: RoleRule = (layer, outcome, facts) => {
  if (outcome !== 'element' || layer.kind !== 'text') return null;
  const runs = layer.lines.flatMap((line) => line.runs);
  const text = runs.map((run) => run.text).join('');
  const size = sizeOnScreen(layer, facts);
  const level = facts.headingSizes.indexOf(size) + 1;
  if (level === 0 || text.length > HEADING_LETTERS || !/\p{L}{2}/u.test(text)) return null;
  const role = `heading-${level}` as Role;
  return { role, reason: `${px(size)} px, where most text has ${px(facts.bodySize)}` };
};
