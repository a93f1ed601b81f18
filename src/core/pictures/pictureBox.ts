import { geometryBox, paintedIfShown, type Measures } from '../mockup/bounds';
import { contains, transformBox, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import { IDENTITY } from '../mockup/matrix';
import type { Mockup, Screen } from '../mockup/mockup';
import { outlineBox } from '../mockup/outline';
import { treeOf } from '../mockup/tree';
import { typedSize } from '../sort/facets/pictureBox';
import type { PictureContents } from '../sort/facets/pictureContents';
import { nominalBox } from './nominalBox';

/** Where a layer is, for its box. */
export interface BoxContext {
  readonly mockup: Mockup;
  readonly screen: Screen;
  readonly measured: Measures;
}

/** Where a layer is; null for one that is on no screen. */
export type ContextOf = (layer: LayerId) => BoxContext | null;

/**
 * The box that a picture is cut to, px of the screen: the one that a person said, where the layer has it, else the one
 * that it was drawn in, else what it paints. Null when nothing of it is visible.
 */
export function pictureBox(layer: Layer, said: string | undefined, context: BoxContext): Box | null {
  const { mockup, measured } = context;
  const measure = measured.get(layer.id);
  const painted = measure && paintedIfShown(layer, measure, mockup.faces);
  if (!measure || !painted) return null;
  const size = said === undefined ? null : typedSize(said);
  const own = { ...layer, transform: IDENTITY };
  if (size) return aroundCentre(geometryBox(own, measure.matrix, mockup.faces) ?? painted, size);
  switch (said) {
    case 'seen':
      return painted;
    case 'shape':
      return geometryBox(own, measure.matrix, mockup.faces) ?? painted;
    case 'clip':
      return clipAround(layer, context) ?? painted;
    case 'group':
      return measured.get(treeOf(mockup).parent(layer.id) ?? '')?.painted ?? painted;
    default:
      return nominalBox(layer, measure.matrix, painted) ?? painted;
  }
}

/** A box of a size, in whole px, whose centre is that of another one as near as can be. */
function aroundCentre(box: Box, { width, height }: Pick<Box, 'width' | 'height'>): Box {
  const start = (from: number, length: number, wanted: number) => Math.round(from + (length - wanted) / 2);
  return { x: start(box.x, box.width, width), y: start(box.y, box.height, height), width, height };
}

/** The box of the nearest clip, of the layer itself or of one around it. */
function clipAround(layer: Layer, { mockup, measured }: BoxContext): Box | null {
  const tree = treeOf(mockup);
  for (const id of tree.lineage(layer.id)) {
    const [each, matrix] = [tree.layer(id), measured.get(id)?.matrix];
    const outline = each?.clip?.kind === 'outline' ? outlineBox(each.clip.outline) : null;
    if (outline && matrix) return transformBox(matrix, outline);
  }
  return null;
}

/** A group without the lowest shape, where the others lie within it; the same layer where they do not. */
export function withoutLowest(layer: Layer, { faces }: Mockup): Layer {
  const [lowest, ...others] = layer.kind === 'group' ? layer.layers : [];
  if (layer.kind !== 'group' || lowest?.kind !== 'shape' || others.length === 0) return layer;
  const [all, ground] = [{ ...layer, transform: IDENTITY }, lowest].map((each) =>
    geometryBox(each, IDENTITY, faces),
  );
  return all && ground && contains(ground, all, 0.5) ? { ...layer, layers: others } : layer;
}

/**
 * A screen's root with a layer and what is painted before it (under), after it (over), or both; groups around keep
 * their clips and opacity. Hidden layers stay hidden, but for the layer itself.
 */
export function withSurroundings(
  root: GroupLayer,
  layer: Layer,
  contents: PictureContents,
  mockup: Mockup,
): GroupLayer {
  const line = new Set(treeOf(mockup).lineage(layer.id));
  const pruned = (group: GroupLayer): GroupLayer => {
    const at = group.layers.findIndex(({ id }) => line.has(id));
    const kept = group.layers.flatMap((child, index): readonly Layer[] => {
      if (index < at) return contents === 'over' ? [] : [child];
      if (index > at) return contents === 'under' ? [] : [child];
      if (child.id === layer.id) return [{ ...layer, visible: true }];
      return child.kind === 'group' ? [pruned(child)] : [child];
    });
    return { ...group, layers: kept };
  };
  return pruned(root);
}
