import { boxForm } from '../../look/boxForm';
import type { GroupLayer, Layer, ShapeLayer } from '../../mockup/layer';
import { splitName } from '../../mockup/layerName';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import { nameWords } from '../nameWords';
import type { Rule } from './rule';

/** Common practice, no source: names of drawing aids. */
const AIDS: ReadonlySet<string> = new Set(
  'guide guides guideline guidelines gridlines redline redlines annotation annotations measurements'.split(
    ' ',
  ),
);
const GRIDS: ReadonlySet<string> = new Set(['grid', 'grids', 'columns', 'baseline', 'gridlines']);
/** The strongest that the colour of a layout grid is, 0–1. */
const FAINT = 0.4;
/** This many like lines or columns over the whole screen are a layout grid. */
const FEWEST_LINES = 6;
const SPAN = 0.9;

/**
 * What is named as a drawing aid and looks like one, and a layout grid over the whole screen, is aside. A name
 * alone takes nothing off the page that is seen.
 */
export const guides: Rule = {
  name: 'guides',
  judge(layer, facts) {
    const words = nameWords(splitName(layer.sourceName ?? '').bare);
    const aid = words.find((word) => AIDS.has(word));
    if (aid !== undefined && isDrawnAid(layer))
      return { outcome: 'aside', reason: `aside: its name says "${aid}", and it draws only lines` };
    const grid = words.find((word) => GRIDS.has(word));
    if (grid !== undefined && isNamedGrid(layer, facts))
      return {
        outcome: 'aside',
        reason: `aside: its name says "${grid}", and it draws faint lines across the screen`,
      };
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

/** True for lines without fills, with notes between them. */
function isDrawnAid(layer: Layer): boolean {
  const leaves = leavesOf(layer);
  const isText = ({ kind }: Layer) => kind === 'text';
  const lines = leaves.filter((leaf) => !isText(leaf));
  return lines.length > 0 && lines.every((leaf) => isLine(leaf) || isStrokeOnly(leaf));
}

/** True for faint lines or columns of which each reaches across the screen. */
function isNamedGrid(layer: Layer, facts: Facts): boolean {
  const leaves = leavesOf(layer);
  const { width, height } = facts.screen;
  return (
    leaves.length > 0 &&
    leaves.every((leaf) => {
      const { painted } = measureOf(facts, leaf.id);
      const spans = painted && (painted.width >= SPAN * width || painted.height >= SPAN * height);
      return spans && (isLine(leaf) || isStrokeOnly(leaf)) && strengthOf(leaf) * layer.opacity <= FAINT;
    })
  );
}

function leavesOf(layer: Layer): readonly Layer[] {
  return walk(layer).filter(({ kind, visible }) => kind !== 'group' && visible);
}

function isStrokeOnly(layer: Layer): boolean {
  return layer.kind === 'shape' && layer.fill === null && layer.stroke !== null;
}

/** The alpha of a shape's colour with its own opacity, 0–1. */
function strengthOf(layer: Layer): number {
  if (layer.kind !== 'shape') return 1;
  const alpha = ({ fill, stroke }: ShapeLayer) => {
    const paint = fill ?? stroke?.paint;
    return paint?.kind === 'solid' ? paint.colour.alpha : 1;
  };
  return alpha(layer) * layer.opacity;
}

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
