import type { Measures } from '../mockup/bounds';
import { area, type Box } from '../mockup/box';
import type { Layer, LayerId } from '../mockup/layer';
import type { LayerTree } from '../mockup/tree';
import { namedRole } from './roles/byName';
import type { StatesOf } from './states';
import type { Tags } from './tag';
import { isInteractiveRole, type State } from './vocabulary';

/** The layers that people point at and press, each with the states that it or its parts have. */
export type Controls = ReadonlyMap<LayerId, readonly State[]>;

/** How far above a version its control may be: a button holds an icon in a group. */
const MOST_LEVELS = 3;
/** Common practice, no source: the whole box of a thing is its hit area, not the letters in it. */
const HIT_SHARE = 0.8;

/**
 * The control that a layer with states belongs to: the button, link or field around it, else the group that it
 * fills, else the layer itself.
 */
export function controlOf(base: Layer, tree: LayerTree, said: Tags, measures: Measures): LayerId {
  const around = tree.ancestors(base.id).slice(0, MOST_LEVELS);
  const control = around.find((id) => isControl(tree.layer(id), said));
  if (control !== undefined) return control;
  const [parent] = around;
  if (isControl(base, said) || parent === undefined || tree.parent(parent) === undefined) return base.id;
  const [own, whole] = [boxOf(base.id, measures), boxOf(parent, measures)];
  return own && whole && area(own) >= HIT_SHARE * area(whole) ? parent : base.id;
}

function isControl(layer: Layer | undefined, said: Tags): boolean {
  if (!layer) return false;
  const role = said.get(layer.id)?.role ?? namedRole(layer);
  const leads = (said.get(layer.id)?.href ?? layer.hints.href) !== undefined;
  return leads || (role !== undefined && isInteractiveRole(role));
}

function boxOf(id: LayerId, measures: Measures): Box | null {
  return measures.get(id)?.painted ?? null;
}

/** The states of each control on a screen, in the order of the layers. */
export function findControls(states: StatesOf, tree: LayerTree, said: Tags, measures: Measures): Controls {
  const controls = new Map<LayerId, readonly State[]>();
  for (const { base, state } of states.values()) {
    const control = controlOf(base, tree, said, measures);
    const known = controls.get(control) ?? [];
    if (!known.includes(state)) controls.set(control, [...known, state]);
  }
  return controls;
}
