import { boxForm } from '../../look/boxForm';
import type { Box } from '../../mockup/box';
import type { GroupLayer, Layer, TextLayer } from '../../mockup/layer';
import { wordsOf } from '../../look/layerTitle';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import { isCalled } from '../nameWords';
import { px } from '../rules/rule';
import type { RoleRule } from './roleRule';

/** Common practice, no source: the height of a target for a finger or pointer, px; lower boxes are badges. */
const LOWEST = 30;
const HIGHEST = 72;
const WIDEST = 420;
const MOST_LETTERS = 28;
/** The share of its box's width by which a caption may be off centre. */
const OFF_CENTRE = 0.12;

/** Names of layers that look like buttons and are none. */
const NO_BUTTONS: ReadonlySet<string> = new Set([
  'avatar',
  'badge',
  'chip',
  'pill',
  'addon',
  'th',
  'td',
  'cell',
]);

/** A box of a button's height around a short centred caption, with at most an icon, is a button. */
export const byLook: RoleRule = (layer, outcome, facts) => {
  if (outcome !== 'element' || layer.kind !== 'group' || isCalled(layer, NO_BUTTONS)) return null;
  const texts = walk(layer).filter(
    (part): part is TextLayer => part.kind === 'text' && part.visible && !isGlyph(part),
  );
  const [caption] = texts;
  const backdrop = backdropOf(layer, facts);
  if (!caption || texts.length > 1 || !backdrop || facts.contents(layer).bitmaps > 0) return null;
  const { width, height } = backdrop;
  if (height < LOWEST || height > HIGHEST || width > WIDEST || width < height) return null;
  const said = caption.lines.flatMap((line) => line.runs.map((run) => run.text)).join('');
  const text = measureOf(facts, caption.id).painted;
  if (!text || caption.lines.length > 1 || said.length > MOST_LETTERS || !/\p{L}/u.test(said)) return null;
  const off = Math.abs(text.x + text.width / 2 - (backdrop.x + width / 2)) / width;
  // An icon moves the caption off centre.
  const { shapes, texts: all } = facts.contents(layer);
  const allowed = shapes > 1 || all > 1 ? OFF_CENTRE * 2 : OFF_CENTRE;
  return off <= allowed
    ? { role: 'button', reason: `a box of ${px(width)}×${px(height)} px with a caption in its middle` }
    : null;
};

/** An icon drawn by a font: private-use characters (Unicode 15, §23.5). */
function isGlyph(text: TextLayer): boolean {
  return /^[\p{Co}\s]+$/u.test(wordsOf(text));
}

/** The box behind all else in the group, px of the screen. */
function backdropOf(group: GroupLayer, facts: Facts): Box | null {
  const lowest: Layer | undefined = group.layers.find((layer) => layer.visible);
  if (lowest?.kind !== 'shape' || boxForm(lowest)?.kind !== 'box') return null;
  return measureOf(facts, lowest.id).painted;
}
