import { wordsOf } from '../../look/layerTitle';
import { boxForm } from '../../look/boxForm';
import { lightness } from '../../look/contrast';
import type { Box } from '../../mockup/box';
import type { Layer, ShapeLayer, TextLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import { isCalled } from '../nameWords';
import { px } from '../rules/rule';
import type { RoleRule } from './roleRule';

/** Common practice, no source: the size of a field of one line, px. */
const LOWEST = 26;
const HIGHEST = 64;
const NARROWEST = 120;
/** The smallest share of a field's width that a placeholder leaves free. */
const FREE = 0.3;
/** Px between the field's edge and its text, or an icon before it. */
const FARTHEST_START = 56;
const MOST_LETTERS = 48;

/** Names of layers that look like fields and are none. */
const NO_FIELDS: ReadonlySet<string> = new Set(['th', 'td', 'cell']);

/** A bright box with faint words at its start and space after them is an empty field. */
export const byForm: RoleRule = (layer, outcome, facts) => {
  if (outcome !== 'element' || layer.kind !== 'group' || isCalled(layer, NO_FIELDS)) return null;
  const texts = walk(layer).filter((part): part is TextLayer => part.kind === 'text' && part.visible);
  const [words] = texts;
  const box = fieldBox(
    layer.layers.find((part) => part.visible),
    facts,
  );
  if (!words || texts.length > 1 || !box || facts.contents(layer).bitmaps > 0) return null;
  const text = measureOf(facts, words.id).painted;
  if (!text || words.lines.length > 1 || wordsOf(words).length > MOST_LETTERS || !isFaint(words)) return null;
  const start = text.x - box.x;
  const free = box.x + box.width - (text.x + text.width);
  const waits = start > 0 && start <= FARTHEST_START && free >= FREE * box.width && free > start * 2;
  return waits
    ? {
        role: 'field',
        reason: `a box of ${px(box.width)}×${px(box.height)} px with faint words at its start`,
      }
    : null;
};

function fieldBox(lowest: Layer | undefined, facts: Facts): Box | null {
  if (lowest?.kind !== 'shape' || boxForm(lowest)?.kind !== 'box' || !isBright(lowest)) return null;
  const { painted } = measureOf(facts, lowest.id);
  if (!painted) return null;
  const { width, height } = painted;
  return height >= LOWEST && height <= HIGHEST && width >= Math.max(NARROWEST, 2.5 * height) ? painted : null;
}

function isBright({ fill, stroke }: ShapeLayer): boolean {
  if (fill?.kind === 'solid') return lightness(fill.colour) > 0.85;
  return fill === null && stroke !== null;
}

/** Placeholders are neither as dark as text nor as bright as the background. */
function isFaint({ lines }: TextLayer): boolean {
  const fill = lines[0]?.runs[0]?.fill;
  if (fill?.kind !== 'solid') return false;
  const seen = lightness(fill.colour) * fill.colour.alpha + (1 - fill.colour.alpha);
  return seen > 0.38 && seen < 0.85;
}
