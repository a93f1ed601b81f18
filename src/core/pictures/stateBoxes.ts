import { geometryBox } from '../mockup/bounds';
import { moveBox, overlaps, snapOut, union, type Box } from '../mockup/box';
import type { Layer, LayerId } from '../mockup/layer';
import { IDENTITY } from '../mockup/matrix';
import { treeOf } from '../mockup/tree';
import { walk } from '../mockup/walk';
import type { Decisions } from '../sort/decision';
import type { Version } from '../sort/decide/stateVersions';
import { boxOfPicture } from './drawnPicture';
import type { BoxContext, ContextOf } from './pictureBox';

/** A picture, and how far it was drawn from its counterpart at rest, px. */
interface Member {
  readonly layer: LayerId;
  readonly box: Box;
  readonly dx: number;
  readonly dy: number;
}

/**
 * One box for a picture and all its states, so that one takes the place of the other and nothing moves: around what any
 * of them shows, at the place of each. Pictures whose box a person said, or that are the only one, have none here.
 */
export function stateBoxes(
  versions: readonly Version[],
  decisions: Decisions,
  contextOf: ContextOf,
): ReadonlyMap<LayerId, Box> {
  const groups = new Map<LayerId, Member[]>();
  for (const version of versions) {
    const context = contextOf(version.base);
    const base = context && treeOf(context.mockup).layer(version.base);
    if (!base) continue;
    for (const [rest, shown] of counterparts(base, version.layer, decisions)) {
      const [first, other] = [rest, shown].map((layer) => memberOf(layer, rest, decisions, contextOf));
      if (first && other) groups.set(rest.id, [...(groups.get(rest.id) ?? [first]), other]);
    }
  }
  return new Map([...groups.values()].flatMap(likeBoxes));
}

/** A picture beside its counterpart at rest; null where a person said its box, or it shows nothing. */
function memberOf(layer: Layer, rest: Layer, decisions: Decisions, contextOf: ContextOf): Member | null {
  const [own, resting] = [contextOf(layer.id), contextOf(rest.id)];
  const said = decisions.get(layer.id)?.pictureOverride;
  if (!own || !resting || !said || said.box !== undefined) return null;
  const box = boxOfPicture(layer, said, own);
  const [place, restPlace] = [geometryOf(layer, own), geometryOf(rest, resting)];
  if (!box || !place || !restPlace) return null;
  // What was drawn over its counterpart is where it should be.
  if (overlaps(place, restPlace, 0)) return { layer: layer.id, box, dx: 0, dy: 0 };
  const [at, from] = [centreOf(place), centreOf(restPlace)];
  return { layer: layer.id, box, dx: Math.round(at.x - from.x), dy: Math.round(at.y - from.y) };
}

/** The pictures of a layer and of its version: the layers themselves, or parts whose names are theirs alone. */
function counterparts(
  base: Layer,
  version: Layer,
  decisions: Decisions,
): readonly (readonly [rest: Layer, shown: Layer])[] {
  const isPicture = ({ id }: Layer) => {
    const decision = decisions.get(id);
    return decision?.outcome === 'picture' && decision.within === null && !decision.merge;
  };
  if (isPicture(base) || isPicture(version))
    return isPicture(base) && isPicture(version) ? [[base, version]] : [];
  const inVersion = byOwnName(walk(version).filter(isPicture));
  return [...byOwnName(walk(base).filter(isPicture))].flatMap(([name, rest]) => {
    const shown = inVersion.get(name);
    return shown ? [[rest, shown] as const] : [];
  });
}

/** Layers by names that no other of them has. */
function byOwnName(layers: readonly Layer[]): ReadonlyMap<string, Layer> {
  const counts = new Map<string | null, number>();
  for (const { sourceName } of layers) counts.set(sourceName, (counts.get(sourceName) ?? 0) + 1);
  return new Map(
    layers.flatMap((layer) => {
      const { sourceName } = layer;
      return sourceName !== null && counts.get(sourceName) === 1 ? [[sourceName, layer] as const] : [];
    }),
  );
}

function likeBoxes(members: readonly Member[]): readonly (readonly [LayerId, Box])[] {
  const around = members.reduce<Box | null>(
    (all, { box, dx, dy }) => union(all, moveBox(box, -dx, -dy)),
    null,
  );
  const whole = around && snapOut(around);
  return whole ? members.map(({ layer, dx, dy }) => [layer, moveBox(whole, dx, dy)] as const) : [];
}

/** The box of a layer's shapes on the screen, without shadows. */
function geometryOf(layer: Layer, { mockup, measured }: BoxContext): Box | null {
  const matrix = measured.get(layer.id)?.matrix;
  return matrix ? geometryBox({ ...layer, transform: IDENTITY }, matrix, mockup.faces) : null;
}

function centreOf({ x, y, width, height }: Box) {
  return { x: x + width / 2, y: y + height / 2 };
}
