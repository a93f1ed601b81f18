import type { Capabilities } from '../../look/features';
import type { Measures } from '../../mockup/bounds';
import type { Layer, LayerId } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';
import type { Decisions } from '../decision';
import { walk } from '../../mockup/walk';
import type { Tags } from '../tag';
import type { State } from '../vocabulary';
import { screenContexts } from './screenContext';
import { type DecisionRun, decideLayer } from './decideLayer';
import { ROOT_SURROUNDINGS } from './surroundings';

/**
 * A layer that shows another one in a state, and the decisions on it if it were shown in that one's place.
 */
export interface Version {
  readonly base: LayerId;
  readonly state: State;
  readonly layer: Layer;
  readonly decisions: Decisions;
}

/** Decides on the state versions as if each were shown. */
export function decideVersions(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  tags: Tags,
  decisions: Decisions,
  capabilities: Capabilities,
): readonly Version[] {
  if (!hasStates(decisions)) return [];
  const versions: Version[] = [];
  for (const { screen, facts, sources } of screenContexts(
    mockup,
    measures,
    withBaseOutcomes(tags, decisions),
    capabilities,
  )) {
    if (facts.states.size === 0) continue;
    const stateless = { ...facts, states: new Map<LayerId, never>() };
    for (const layer of walk(screen.root)) {
      const version = facts.states.get(layer.id);
      if (!version) continue;
      const made: DecisionRun = { decided: new Map(), insides: new Map() };
      decideLayer(layer, { ...ROOT_SURROUNDINGS, asShown: true }, { facts: stateless, sources }, null, made);
      versions.push({ base: version.base.id, state: version.state, layer, decisions: made.decided });
    }
  }
  return versions;
}

function hasStates(decisions: Decisions): boolean {
  for (const { state } of decisions.values()) if (state !== null) return true;
  return false;
}

/** A version becomes what its base becomes, unless a person said otherwise. */
function withBaseOutcomes(tags: Tags, decisions: Decisions): Tags {
  const said = new Map(tags);
  for (const [key, { state }] of decisions) {
    const outcome = state && decisions.get(state.base)?.outcome;
    if (outcome === 'picture' || outcome === 'element') said.set(key, { outcome, ...said.get(key) });
  }
  return said;
}
