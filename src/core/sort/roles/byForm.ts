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
/** The share of a field's width that a placeholder leaves free after it at least. */
const FREE = 0.3;
/** Px between the field's edge and its text, or an icon before it. */
const FARTHEST_START = 56;
const LETTERS = 48;

/** Words for what has the form of a field and is none. */
const NO_FIELDS: ReadonlySet<string> = new Set(['th', 'td', 'cell']);

/** A bright box with faint words at its start and room after them is a field that waits for something. */
export const byForm: RoleRule = (layer, outcome, facts) => {
  if (outcome !== 'element' || layer.kind !== 'group' || isCalled(layer, NO_FIELDS)) return null;
  const texts = walk(layer).filter((part): part is TextLayer => part.kind === 'text' && part.visible);
  const [words] = texts;
  const box = fieldBox(
    layer.layers.find((part) => part.visible),
    facts,
  );
  if (!words || texts.length > 1 || !box || facts.contents(layer).bitmaps > 0) return null;
  const text = measureOf(facts, words.key).painted;
  if (!text || words.lines.length > 1 || wordsOf(words).length > LETTERS || !isFaint(words)) return null;
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
  const { painted } = measureOf(facts, lowest.key);
  if (!painted) return null;
  const { width, height } = painted;
  return height >= LOWEST && height <= HIGHEST && width >= Math.max(NARROWEST, 2.5 * height) ? painted : null;
}

function isBright({ fill, stroke }: ShapeLayer): boolean {
  if (fill?.kind === 'solid') return lightness(fill.colour) > 0.85;
  return fill === null && stroke !== null;
}

/** Placeholders are neither as dark as what is written nor as bright as the ground. */
function isFaint({ lines }: TextLayer): boolean {
  const fill = lines[0]?.runs[0]?.fill;
  if (fill?.kind !== 'solid') return false;
  const seen = lightness(fill.colour) * fill.colour.alpha + (1 - fill.colour.alpha);
  return seen > 0.38 && seen < 0.85;
}
