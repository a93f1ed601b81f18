import type { Capabilities } from '../../look/features';
import { treeOf, type LayerTree } from '../../mockup/tree';
import type { Measures } from '../../mockup/bounds';
import type { LayerId } from '../../mockup/layer';
import type { Mockup, Screen } from '../../mockup/mockup';
import { memoizeByObject } from '../../mockup/memoize';
import { gatherFacts, type Facts } from '../facts';
import { findFurniture } from '../furniture';
import { findControls, type Controls } from '../controls';
import { findMerges, spreadMerges, type Merges } from '../merges';
import { layersOf } from '../../mockup/walk';
import { namedTags } from '../names/namedTags';
import { shareTags } from '../sharedTags';
import { resolveStates, type StatesOf } from '../states';
import { mergeTags, type Tags } from '../tag';
import type { TagSources } from './tagSources';

/** The tags in the layers' own names. */
const tagsFromNames = memoizeByObject((mockup: Mockup) => namedTags(layersOf(mockup)));

export interface ScreenContext {
  readonly screen: Screen;
  readonly facts: ScreenFacts;
  readonly sources: TagSources;
}

/** The facts and tags of each screen. */
export function* screenContexts(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  tags: Tags,
  capabilities: Capabilities,
): Generator<ScreenContext> {
  const said = { person: tags, name: tagsFromNames(mockup) };
  const isOff = (key: LayerId) => (said.person.get(key)?.outcome ?? said.name.get(key)?.outcome) === 'aside';
  const furniture = findFurniture(mockup, measures);
  const tree = treeOf(mockup);
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.id);
    if (!measured) continue;
    const found = gatherFacts(mockup, screen, measured, isOff, furniture, capabilities);
    const alike = shareTags(furniture, tags, tree, (key) => measured.has(key));
    const sources: TagSources = {
      ...said,
      alike: shareTags(found.repeats, alike, tree, (key) => measured.has(key)),
    };
    const all = mergeTags(said.name, tags);
    const states = resolveStates(found.states, all, screen, measured, mockup);
    const facts: ScreenFacts = {
      ...found,
      states,
      controls: findControls(states, tree, all, measured),
      merges: spreadMerges(findMerges(screen, all), found.repeats, tree, (key) => measured.has(key)),
      opened: openedGroups(mergeTags(said.name, sources.alike), states, tree),
      aroundSlots: groupsAroundSlots(all, tree),
    };
    yield { screen, facts, sources };
  }
}

/** The facts of a screen together with what tags add to them. */
export interface ScreenFacts extends Facts {
  readonly states: StatesOf;
  /** The layers that are pressed or pointed at, with their states. */
  readonly controls: Controls;
  readonly merges: Merges;
  /** Groups with a part inside that the program fills. */
  readonly aroundSlots: ReadonlySet<LayerId>;
  /** Groups with a tagged part or a part with states: no rule makes one picture of them. */
  readonly opened: ReadonlySet<LayerId>;
}

function groupsAroundSlots(tags: Tags, tree: LayerTree): ReadonlySet<LayerId> {
  const filled = [...tags].flatMap(([id, { slot }]) => (slot === undefined ? [] : [id]));
  return new Set(filled.flatMap((id) => tree.ancestors(id)));
}

function openedGroups(tags: Tags, states: StatesOf, tree: LayerTree): ReadonlySet<LayerId> {
  const opened = new Set<LayerId>();
  for (const [id, { outcome, merge, slot }] of tags) {
    if (outcome === undefined && merge === undefined && slot === undefined) continue;
    for (const ancestor of tree.ancestors(id)) opened.add(ancestor);
  }
  for (const { base } of states.values())
    for (const ancestor of tree.ancestors(base.id)) opened.add(ancestor);
  return opened;
}
