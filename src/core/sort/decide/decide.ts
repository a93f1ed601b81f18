import equal from 'fast-deep-equal';
import type { Capabilities } from '../../look/features';
import type { Measures } from '../../mockup/bounds';
import type { LayerId } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';
import { withEntries, changedKeys, withAncestors } from '../../mockup/changedKeys';
import { continueLast } from '../../mockup/memoize';
import type { Decisions } from '../decision';
import type { Tags } from '../tag';
import { screenContexts, type ScreenContext } from './screenContext';
import { type DecisionRun, decideLayer, areSameSharedFacets } from './decideLayer';
import { type Surroundings, ROOT_SURROUNDINGS } from './surroundings';

/**
 * Decides what every layer becomes: a person's tag first, then the tag in the layer's name, then the first
 * rule with a verdict. The target's capabilities decide what has to be a picture. Layers whose inputs did not
 * change keep their decision.
 */
export function decide(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  tags: Tags,
  capabilities: Capabilities,
): Decisions {
  return continueDecisions(mockup, (last) => {
    const judges = [...screenContexts(mockup, measures, tags, capabilities)];
    const made: DecisionRun = {
      decided: new Map(),
      insides: last?.insides ?? new Map<LayerId, Surroundings>(),
    };
    for (const [at, judge] of judges.entries()) {
      const changed = changedLayers(judge, last?.judges[at]);
      for (const layer of judge.screen.root.layers)
        decideLayer(layer, ROOT_SURROUNDINGS, judge, changed, made);
    }
    const decisions = last ? withEntries(last.decisions, made.decided) : made.decided;
    return { judges, decisions, insides: made.insides };
  }).decisions;
}

const continueDecisions = continueLast<
  Mockup,
  {
    readonly judges: readonly ScreenContext[];
    readonly decisions: Decisions;
    readonly insides: DecisionRun['insides'];
  }
>();

/** The layers whose facts or tags differ from the last run, with the groups around them; null for all. */
function changedLayers(
  { screen, facts, sources }: ScreenContext,
  last: ScreenContext | undefined,
): ReadonlySet<LayerId> | null {
  if (facts.capabilities !== last?.facts.capabilities) return null;
  if (facts.contents !== last.facts.contents || sources.name !== last.sources.name) return null;
  return withAncestors(screen, [
    ...changedKeys(last.sources.person, sources.person),
    ...changedKeys(last.sources.alike, sources.alike, areSameSharedFacets),
    ...changedKeys(last.facts.covered, facts.covered),
    ...changedKeys(last.facts.states, facts.states),
    ...changedKeys(last.facts.controls, facts.controls, equal),
    ...changedKeys(last.facts.merges, facts.merges),
    ...changedMembers(last.facts.opened, facts.opened),
    ...changedMembers(last.facts.aroundSlots, facts.aroundSlots),
  ]);
}

/** The members that only one of two sets has. */
function changedMembers(before: ReadonlySet<LayerId>, now: ReadonlySet<LayerId>): readonly LayerId[] {
  return [...[...now].filter((key) => !before.has(key)), ...[...before].filter((key) => !now.has(key))];
}
