import { boxForm } from '../../look/boxForm';
import { bottom, followEachOther, spread, type Box } from '../../mockup/box';
import type { Layer, ShapeLayer } from '../../mockup/layer';
import { walk } from '../../mockup/walk';
import { measureOf, type Facts } from '../facts';
import type { Rule } from './rule';

/** Fewer bars may be anything, such as signal strength or the lines of a menu (common practice, no source). */
const FEWEST_BARS = 6;
/** Bars of fewer heights are a pattern. */
const FEWEST_HEIGHTS = 3;
/** Px by which drawn bars may be out of step. */
const OUT_OF_STEP = 1;

/** Even bars of different heights on one line are a chart: its heights are data, and no layout. */
export const bars: Rule = {
  name: 'bars',
  judge(layer, facts) {
    if (layer.kind !== 'group') return null;
    const { texts, bitmaps, shapes } = facts.contents(layer);
    if (texts > 0 || bitmaps > 0 || shapes < FEWEST_BARS) return null;
    const boxes = layer.layers.filter(({ visible }) => visible).map((part) => barBox(part, facts));
    const sorted = boxes.filter((box) => box !== null).toSorted((one, other) => one.x - other.x);
    if (sorted.length < boxes.length || sorted.length < FEWEST_BARS || !areEven(sorted)) return null;
    return { outcome: 'picture', reason: `vector picture: ${sorted.length} bars of a chart` };
  },
};

/** The box of a layer that is one upright bar; null for any other. */
function barBox(layer: Layer, facts: Facts): Box | null {
  const shapes = walk(layer).filter((part): part is ShapeLayer => part.kind === 'shape' && part.visible);
  const [only, ...others] = shapes;
  return only && others.length === 0 && boxForm(only)?.kind === 'box'
    ? measureOf(facts, only.id).painted
    : null;
}

function areEven(bars: readonly Box[]): boolean {
  const steps = bars.slice(1).map(({ x }, at) => x - bars[at]!.x);
  const heights = new Set(bars.map(({ height }) => Math.round(height)));
  const widths = bars.map(({ width }) => width);
  const lines = [({ y }: Box) => y, bottom, ({ y, height }: Box) => y + height / 2];
  const areNear = (lengths: readonly number[]) => spread(lengths) <= OUT_OF_STEP;
  return (
    followEachOther(bars, 'x', OUT_OF_STEP) &&
    areNear(steps) &&
    areNear(widths) &&
    lines.some((line) => areNear(bars.map(line))) &&
    heights.size >= FEWEST_HEIGHTS
  );
}
