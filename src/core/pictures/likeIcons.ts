import { drawsLine } from '../look/drawsLine';
import { overlaps, snapOut, type Box } from '../mockup/box';
import type { GroupLayer, Layer, LayerId } from '../mockup/layer';
import type { Screen } from '../mockup/mockup';
import { holdsBitmap } from '../mockup/walk';
import type { Decision, Decisions } from '../sort/decision';
import { ownName } from '../sort/tellingNames';
import { boxOfPicture } from './drawnPicture';
import type { ContextOf } from './pictureBox';

/** Common practice, no source: icons beside words are drawn in boxes of up to 48 px. */
const LARGEST = 48;
/** Px that a box may grow on each side; more than that is no optical correction. */
const MOST_GROWTH = 8;
/** Px by which a box may reach into what stands beside it. */
const TOUCH = 0.5;

interface Icon {
  readonly layer: Layer;
  /** The group that it lies in. */
  readonly group: LayerId;
  /** Whole px of the screen. */
  readonly box: Box;
  /** What stands beside it in its group, px of the screen. */
  readonly beside: readonly Box[];
}

/**
 * One box for the icons that have the same place in things that are built alike, such as the entries of a menu: around
 * the largest of them, each in the middle of its own. Icons were drawn in such a box, and are cut to their ink.
 */
export function likeIcons(
  screens: readonly Screen[],
  decisions: Decisions,
  contextOf: ContextOf,
): ReadonlyMap<LayerId, Box> {
  return new Map(
    screens.flatMap(({ root }) => {
      const byPlace = new Map<string, Icon[]>();
      for (const [place, icon] of iconsIn(root, '', decisions, contextOf))
        byPlace.set(place, [...(byPlace.get(place) ?? []), icon]);
      return [...byPlace.values()].flatMap(withOneBox);
    }),
  );
}

/** The icons in a group, each with the names and roles of all that is around it. */
function iconsIn(
  group: GroupLayer,
  place: string,
  decisions: Decisions,
  contextOf: ContextOf,
): readonly (readonly [place: string, icon: Icon])[] {
  return group.layers.flatMap((layer) => {
    const decision = decisions.get(layer.id);
    if (!decision || !layer.visible || decision.outcome === 'aside') return [];
    const own = `${place}>${partOf(decision)}`;
    const icon = decision.outcome === 'picture' ? iconOf(layer, decision, group, contextOf) : null;
    if (icon) return [[own, icon] as const];
    return layer.kind === 'group' && decision.outcome === 'element'
      ? iconsIn(layer, own, decisions, contextOf)
      : [];
  });
}

function iconOf(
  layer: Layer,
  { merge, pictureOverride: said }: Decision,
  parent: GroupLayer,
  contextOf: ContextOf,
): Icon | null {
  // The px of a bitmap would have to be drawn anew.
  const isPlain = !merge && said.box === undefined && said.contents === undefined && !holdsBitmap(layer);
  const context = isPlain ? contextOf(layer.id) : null;
  const box = context && boxOfPicture(layer, said, context);
  if (!context || !box || Math.max(box.width, box.height) > LARGEST) return null;
  const beside = parent.layers.flatMap((other) =>
    other.id === layer.id || !other.visible ? [] : (context.measured.get(other.id)?.painted ?? []),
  );
  return { layer, group: parent.id, box: snapOut(box), beside };
}

/** What a layer is in its group: its role, and its name where that says something. */
function partOf(decision: Decision): string {
  const { role, outcome, named, outputName, nameSaid } = decision;
  return `${outcome === 'picture' ? 'picture' : role} ${ownName({ named, name: outputName, nameSaid }) ?? ''}`;
}

function withOneBox(icons: readonly Icon[]): readonly (readonly [LayerId, Box])[] {
  const width = Math.max(...icons.map(({ box }) => box.width));
  const height = Math.max(...icons.map(({ box }) => box.height));
  if (icons.every(({ box }) => box.width === width && box.height === height)) return [];
  // Lines in one group lead from one thing to another.
  const areApart = new Set(icons.map(({ group }) => group)).size === icons.length;
  if (!areApart && icons.some(({ layer }) => drawsLine(layer))) return [];
  return icons.flatMap(({ layer, box, beside }) => {
    const [dx, dy] = [(width - box.width) / 2, (height - box.height) / 2];
    const around = { x: Math.round(box.x - dx), y: Math.round(box.y - dy), width, height };
    const isFree = beside.every((other) => !overlaps(other, around, TOUCH) || overlaps(other, box, TOUCH));
    return Math.max(dx, dy) <= MOST_GROWTH && isFree ? [[layer.id, around] as const] : [];
  });
}
