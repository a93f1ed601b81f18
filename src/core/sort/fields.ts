import { boxForm } from '../look/boxForm';
import { lightness } from '../look/contrast';
import { wordsOf } from '../look/layerTitle';
import type { Measures } from '../mockup/bounds';
import { bottom, contains, right, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId, ShapeLayer, TextLayer } from '../mockup/layer';
import { splitName } from '../mockup/layerName';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import { nameWords } from './nameWords';
import { sizeOnScreen } from './textSizes';

/** A form control that is drawn as a box with its value inside, beside a text that labels it. */
export interface Field {
  readonly role: 'field' | 'select';
  readonly reason: string;
  /** The text that labels it; null for a control without one. */
  readonly label: LayerId | null;
}

/** The fields of a screen by the layer of their box. */
export type Fields = ReadonlyMap<LayerId, Field>;

/** Common practice, no source: the sizes of a control, px. */
const LOWEST = 24;
const HIGHEST = 240;
const NARROWEST = 80;
/** Boxes without a telling name are fields of one line. */
const ONE_LINE = 64;
/** Px by which a label may be larger than the value; titles are larger still. */
const LARGER_LABEL = 2;
/** Px between a field's edge and its value, or an icon before it. */
const FARTHEST_START = 56;
/** Px between a label and its field. */
const FARTHEST_LABEL = 28;
const FARTHEST_BESIDE = 200;
/** Px by which the left edges of a field and the label above it may differ. */
const IN_LINE = 14;
const LONGEST_LABEL = 48;
/** The most that a fill may darken the page to be that of a field, as lightness 0–1. */
const BRIGHT = 0.8;

const FIELD_WORDS: ReadonlySet<string> = new Set(
  'field input textbox textfield textarea searchbox value entry control'.split(' '),
);
const SELECT_WORDS: ReadonlySet<string> = new Set('select dropdown combobox picker chooser'.split(' '));

/** Finds boxes with a value at their start and a label above or before them. */
export function findFields(screen: Screen, measures: Measures): Fields {
  const fields = new Map<LayerId, Field>();
  for (const group of walk(screen.root)) {
    if (group.kind !== 'group' || group.layers.length < 3) continue;
    for (const [box, field] of fieldsIn(group, measures)) fields.set(box, field);
  }
  return fields;
}

function fieldsIn(group: GroupLayer, measures: Measures): readonly (readonly [LayerId, Field])[] {
  const boxOf = ({ id }: Layer) => measures.get(id)?.painted ?? null;
  const parts = group.layers.filter(({ visible }) => visible);
  const boxes = parts.flatMap((layer) => {
    const box = boxOf(layer);
    return layer.kind === 'shape' && box && isControlBox(layer, box) ? [{ layer, box }] : [];
  });
  const texts = parts.flatMap((layer) => {
    const box = boxOf(layer);
    return layer.kind === 'text' && box ? [{ layer, box }] : [];
  });
  const isInside = ({ box }: { readonly box: Box }) => boxes.some((each) => contains(each.box, box, 2));
  const outside = texts.filter((text) => !isInside(text));
  return boxes.flatMap(({ layer, box }) => {
    const inside = texts.filter((text) => contains(box, text.box, 2));
    // The name of a group tells of its only box.
    const named = boxes.length === 1 ? [layer, group] : [layer];
    const isNamed = named.some((each) => isCalled(each, FIELD_WORDS) || isCalled(each, SELECT_WORDS));
    const [value] = inside;
    const label = outside.find((text) => labels(text, box) && isNoTitle(text.layer, value?.layer, measures));
    if (!isNamed && box.height > ONE_LINE) return [];
    if (inside.length > 1 || (!isNamed && inside.length === 0) || (!label && !isNamed)) return [];
    if (value && !isAtStart(value.box, box)) return [];
    const isSelect = [layer, group].some((each) => isCalled(each, SELECT_WORDS));
    const said = value ? ` with "${wordsOf(value.layer)}" at its start` : '';
    const beside = label ? `, labelled "${wordsOf(label.layer)}"` : '';
    return [
      [
        layer.id,
        {
          role: isSelect ? 'select' : 'field',
          reason: `a box${said}${beside}`,
          label: label?.layer.id ?? null,
        },
      ] as const,
    ];
  });
}

/** False for a title above a box. */
function isNoTitle(label: TextLayer, value: TextLayer | undefined, measures: Measures): boolean {
  return !value || sizeOnScreen(label, measures) <= sizeOnScreen(value, measures) + LARGER_LABEL;
}

function isControlBox(layer: ShapeLayer, { width, height }: Box): boolean {
  if (boxForm(layer)?.kind !== 'box' || height < LOWEST || height > HIGHEST || width < NARROWEST)
    return false;
  const { fill, stroke } = layer;
  const isBright =
    fill?.kind === 'solid' && lightness(fill.colour) * fill.colour.alpha + 1 - fill.colour.alpha > BRIGHT;
  return width > 1.2 * height && ((fill === null && stroke !== null) || isBright);
}

/** True for a value that leaves the rest of the field free. */
function isAtStart(value: Box, box: Box): boolean {
  const start = value.x - box.x;
  return start > 0 && start <= FARTHEST_START && right(box) - right(value) > start;
}

/** True for a short text right above a field or before it in its row. */
function labels({ layer, box }: { readonly layer: TextLayer; readonly box: Box }, field: Box): boolean {
  if (wordsOf(layer).length > LONGEST_LABEL || layer.lines.length > 1) return false;
  const above = field.y - bottom(box);
  if (above >= -1 && above <= FARTHEST_LABEL && Math.abs(box.x - field.x) <= IN_LINE) return true;
  const middle = box.y + box.height / 2;
  const before = field.x - right(box);
  return before >= 0 && before <= FARTHEST_BESIDE && middle >= field.y && middle <= bottom(field);
}

function isCalled({ sourceName }: Layer, words: ReadonlySet<string>): boolean {
  return nameWords(splitName(sourceName ?? '').bare).some((word) => words.has(word));
}
