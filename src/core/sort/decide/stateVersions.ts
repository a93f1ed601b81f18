import type { Capabilities } from '../../look/features';
import type { Measures } from '../../mockup/bounds';
import type { Layer, LayerId } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';
import { treeOf } from '../../mockup/tree';
import { controlOf } from '../controls';
import type { Decisions } from '../decision';
import { walk } from '../../mockup/walk';
import { mergeTags, type Tags } from '../tag';
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
  /** The layer that has the states: it is pressed or pointed at. */
  readonly control: LayerId;
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
    const measured = measures.get(screen.id);
    if (facts.states.size === 0 || !measured) continue;
    const stateless = { ...facts, states: new Map<LayerId, never>() };
    for (const layer of walk(screen.root)) {
      const version = facts.states.get(layer.id);
      if (!version) continue;
      const made: DecisionRun = { decided: new Map(), insides: new Map() };
      decideLayer(layer, { ...ROOT_SURROUNDINGS, asShown: true }, { facts: stateless, sources }, null, made);
      const control = controlOf(
        version.base,
        treeOf(mockup),
        mergeTags(sources.name, sources.person),
        measured,
      );
      versions.push({
        base: version.base.id,
        state: version.state,
        control,
        layer,
        decisions: made.decided,
      });
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
