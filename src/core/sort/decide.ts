import { treeOf, type LayerTree } from '../mockup/tree';
import equal from 'fast-deep-equal';
import type { Measures } from '../mockup/bounds';
import type { Layer, LayerId } from '../mockup/layer';
import type { Mockup, Screen } from '../mockup/mockup';
import { withEntries, changedKeys, withAncestors } from '../mockup/changedKeys';
import { memoizeLastBy, memoizeByObject } from '../mockup/memoize';
import type { Decision, Decisions } from './decision';
import { gatherFacts, type Facts } from './facts';
import { findFurniture } from './furniture';
import { findMerges, spreadMerges, type Merge, type Merges } from './merges';
import { proposeName, safeName, safePath } from './outputNames';
import { ROLE_RULES } from './roles/roles';
import { RULES } from './rules/rules';
import { layersOf, walk } from '../mockup/walk';
import { namedTags } from './names/namedTags';
import { SHARED_FACETS, type Facet } from './facets/facets';
import { shareTags } from './sharedTags';
import { resolveStates, type StatesOf } from './states';
import { mergeTags, type Tag, type Tags } from './tag';
import { roleEntry, type Outcome, type Role, type State } from './vocabulary';

/**
 * Decides what every layer becomes: a person's tag first, then the tag in the layer's name, then the first
 * rule with a verdict. Layers whose inputs did not change keep their decision.
 */
export function decide(mockup: Mockup, measures: ReadonlyMap<string, Measures>, tags: Tags): Decisions {
  const last = lastDecisions.get(mockup);
  const now = [...screenContexts(mockup, measures, tags)];
  const made: DecisionRun = {
    decided: new Map(),
    insides: last?.insides ?? new Map<LayerId, Surroundings>(),
  };
  // The run mutates the stored maps. Drop the entry first, so that an exception cannot leave half-updated
  // state behind.
  lastDecisions.delete(mockup);
  for (const [at, judge] of now.entries()) {
    const changed = changedLayers(judge, last?.judges[at]);
    for (const layer of judge.screen.root.layers) decideLayer(layer, ROOT_SURROUNDINGS, judge, changed, made);
  }
  const decisions = last ? withEntries(last.decisions, made.decided) : made.decided;
  lastDecisions.set(mockup, { judges: now, decisions, insides: made.insides });
  return decisions;
}

/** The last run for each mockup. */
const lastDecisions = new WeakMap<
  Mockup,
  {
    readonly judges: readonly ScreenContext[];
    readonly decisions: Decisions;
    readonly insides: DecisionRun['insides'];
  }
>();

interface DecisionRun {
  /** Decisions of this run: all of them at first, then those whose inputs changed. */
  readonly decided: Map<LayerId, Decision>;
  /** The surroundings that each group gives to its children. */
  readonly insides: Map<LayerId, Surroundings>;
}

/** The layers whose facts or tags differ from the last run, with the groups around them; null for all. */
function changedLayers(
  { screen, facts, sources }: ScreenContext,
  last: ScreenContext | undefined,
): ReadonlySet<LayerId> | null {
  if (facts.contents !== last?.facts.contents || sources.name !== last.sources.name) return null;
  return withAncestors(screen, [
    ...changedKeys(last.sources.person, sources.person),
    ...changedKeys(last.sources.alike, sources.alike, areSameSharedFacets),
    ...changedKeys(last.facts.covered, facts.covered),
    ...changedKeys(last.facts.states, facts.states),
    ...changedKeys(last.facts.merges, facts.merges),
    ...[...facts.opened].filter((key) => !last.facts.opened.has(key)),
    ...[...last.facts.opened].filter((key) => !facts.opened.has(key)),
  ]);
}

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
): readonly Version[] {
  if (!hasStates(decisions)) return [];
  const versions: Version[] = [];
  for (const { screen, facts, sources } of screenContexts(
    mockup,
    measures,
    withBaseOutcomes(tags, decisions),
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

/** The tags in the layers' own names. */
const tagsFromNames = memoizeByObject((mockup: Mockup) => namedTags(layersOf(mockup)));

interface ScreenContext {
  readonly screen: Screen;
  readonly facts: ScreenFacts;
  readonly sources: TagSources;
}

/** The facts and tags of each screen. */
function* screenContexts(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  tags: Tags,
): Generator<ScreenContext> {
  const said = { person: tags, name: tagsFromNames(mockup) };
  const isOff = (key: LayerId) => (said.person.get(key)?.outcome ?? said.name.get(key)?.outcome) === 'aside';
  const furniture = findFurniture(mockup, measures);
  const tree = treeOf(mockup);
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.id);
    if (!measured) continue;
    const found = gatherFacts(mockup, screen, measured, isOff, furniture);
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
      merges: spreadMerges(findMerges(screen, all), found.repeats, tree, (key) => measured.has(key)),
      opened: openedGroups(sources.alike, tree),
    };
    yield { screen, facts, sources };
  }
}

/** The facts of a screen together with what tags add to them. */
interface ScreenFacts extends Facts {
  readonly states: StatesOf;
  readonly merges: Merges;
  /** Groups with a tagged part: no rule makes one picture of them. */
  readonly opened: ReadonlySet<LayerId>;
}

function openedGroups(tags: Tags, tree: LayerTree): ReadonlySet<LayerId> {
  const opened = new Set<LayerId>();
  for (const [id, { outcome, merge }] of tags) {
    if (outcome === undefined && merge === undefined) continue;
    for (const ancestor of tree.ancestors(id)) opened.add(ancestor);
  }
  return opened;
}

interface TagSources {
  readonly person: Tags;
  /** The person's tags together with those shared from like-built siblings. */
  readonly alike: Tags;
  readonly name: Tags;
}

/** The merged tag of one layer, and the origin of each facet. */
interface LayerTag {
  readonly tag: Tag;
  readonly who: (facet: Facet) => TagOrigin;
}

/** The origin of a facet: a person, a person's tag on a like-built sibling, or the layer's own name. */
type TagOrigin = 'person' | 'alike' | 'name';

const ORIGIN_WORDS: Readonly<Record<TagOrigin, string>> = {
  person: 'you said so',
  alike: 'you said so of one that is built like it',
  name: 'its name says so',
};

interface Surroundings {
  readonly within: { readonly key: LayerId; readonly outcome: Exclude<Outcome, 'element'> } | null;
  /** The elements around the layer, outermost first. */
  readonly elements: readonly string[];
  readonly inFurniture: boolean;
  /** True for a version that is decided on as if it were shown. */
  readonly asShown?: boolean;
}

/** All inputs of a layer's decision that edits can change. */
interface DecisionInputs {
  /** Stands for the facts that no edit changes, since it is created with them. */
  readonly contents: Facts['contents'];
  readonly name: Tag | undefined;
  readonly person: Tag | undefined;
  readonly alike: Tag | undefined;
  readonly cover: Layer | undefined;
  readonly isOpened: boolean;
  readonly version: ReturnType<StatesOf['get']>;
  readonly merge: Merge | undefined;
  readonly around: Surroundings;
}

function areSameInputs(one: DecisionInputs, other: DecisionInputs): boolean {
  return (
    one.contents === other.contents &&
    one.name === other.name &&
    one.person === other.person &&
    areSameSharedFacets(one.alike, other.alike) &&
    one.cover === other.cover &&
    one.isOpened === other.isOpened &&
    one.version === other.version &&
    one.merge === other.merge &&
    (one.around === other.around || equal(one.around, other.around))
  );
}

/** Shared tags are merged anew with every edit, so they are compared by value. */
function areSameSharedFacets(one: Tag | undefined, other: Tag | undefined): boolean {
  if (one === other) return true;
  return (
    one !== undefined && other !== undefined && SHARED_FACETS.every((facet) => one[facet] === other[facet])
  );
}

interface DecidedLayer {
  readonly decision: Decision;
  /** The surroundings of its children. */
  readonly inside: Surroundings;
}

/** An edit changes few decisions; all others stay the same object. */
const lastDecided = memoizeLastBy<Layer, DecisionInputs, DecidedLayer>(areSameInputs);

const ROOT_SURROUNDINGS: Surroundings = { within: null, elements: [], inFurniture: false };

/** @param changed the layers to decide on; null for all */
function decideLayer(
  layer: Layer,
  around: Surroundings,
  judge: Pick<ScreenContext, 'facts' | 'sources'>,
  changed: ReadonlySet<LayerId> | null,
  into: DecisionRun,
): void {
  const { id } = layer;
  if (changed && !changed.has(id)) return;
  const { facts, sources } = judge;
  const known: DecisionInputs = {
    contents: facts.contents,
    name: sources.name.get(id),
    person: sources.person.get(id),
    alike: sources.alike.get(id),
    cover: facts.covered.get(id),
    isOpened: facts.opened.has(id),
    version: facts.states.get(id),
    merge: facts.merges.get(id),
    around,
  };
  const { decision, inside } = lastDecided(layer, known, (last) => {
    const made = decideFromInputs(layer, known, facts);
    return {
      decision: last && isSameDecision(last.decision, made.decision) ? last.decision : made.decision,
      inside: last && equal(last.inside, made.inside) ? last.inside : made.inside,
    };
  });
  into.decided.set(id, decision);
  if (layer.kind !== 'group') return;
  const concerned = into.insides.get(id) === inside ? changed : null;
  into.insides.set(id, inside);
  for (const child of layer.layers) decideLayer(child, inside, judge, concerned, into);
}

/** Compares the field that edits change first: a deep comparison is expensive. */
function isSameDecision(one: Decision, other: Decision): boolean {
  return one.outcome === other.outcome && equal(one, other);
}

function decideFromInputs(
  layer: Layer,
  { name, person, alike, around }: DecisionInputs,
  facts: ScreenFacts,
): DecidedLayer {
  const who = (facet: Facet): TagOrigin =>
    person?.[facet] !== undefined ? 'person' : alike?.[facet] !== undefined ? 'alike' : 'name';
  const decision = decisionOf(layer, around, facts, { tag: { ...name, ...alike }, who });
  if (layer.kind !== 'group') return { decision, inside: around };
  const { outcome, role } = decision;
  const within = around.within ?? (outcome === 'element' ? null : { key: layer.id, outcome });
  const elements = [...around.elements, roleEntry(role).element];
  const inFurniture = around.inFurniture || facts.places.has(layer.id);
  return { decision, inside: { ...around, within, elements, inFurniture } };
}

function decisionOf(layer: Layer, around: Surroundings, facts: ScreenFacts, said: LayerTag): Decision {
  const { tag } = said;
  const merge = around.within ? null : (facts.merges.get(layer.id) ?? null);
  const lead = merge?.layers.at(-1) ?? null;
  const { outcome, reason, origin } = merge
    ? mergedOutcome(merge)
    : decideOutcome(layer, around, facts, said);
  const { role, reason: roleReason } = decideRole(layer, outcome, around, facts, said);
  const isPicture = outcome === 'picture';
  const proposed = proposeName(layer, isPicture);
  const version = facts.states.get(layer.id);
  const asked = tag.outputName ?? merge?.name ?? '';
  const outputName = isPicture ? safePath(asked) : safeName(asked);
  return {
    outcome,
    role,
    reason,
    roleReason,
    origin,
    within: around.within?.key ?? (lead === layer.id ? null : lead),
    outputName: outputName || proposed.name,
    named: outputName !== '' || proposed.named,
    classes: tag.classes ?? [],
    hidden: tag.hidden ?? false,
    repeat: facts.repeats.get(layer.id) ?? null,
    state: version ? { base: version.base.id, state: version.state } : null,
    furniture: facts.furniture.get(layer.id) ?? null,
    merge: lead === layer.id ? merge : null,
    slot: tag.slot ?? null,
    href: tag.href ?? layer.hints.href ?? null,
    scroll: tag.scroll ?? null,
    layoutOverride: {
      ...(tag.contents !== undefined && { contents: tag.contents }),
      ...(tag.gap !== undefined && { gap: tag.gap }),
      ...(tag.width !== undefined && { width: tag.width }),
    },
    note: tag.note ?? null,
  };
}

function mergedOutcome({ name, layers }: Merge): Pick<Decision, 'outcome' | 'reason' | 'origin'> {
  return {
    outcome: 'picture',
    reason: `picture: you made ${layers.length} layers into the one picture ${name}`,
    origin: 'person',
  };
}

/** Why a layer gets the outcome of the group around it. */
const PART_OF: Readonly<Record<Exclude<Outcome, 'element'>, string>> = {
  picture: 'part of the picture around it',
  sample: 'one of the samples around it',
  aside: 'put aside with its group',
};

function decideOutcome(
  layer: Layer,
  { within, asShown = false }: Surroundings,
  facts: ScreenFacts,
  { tag, who }: LayerTag,
): Pick<Decision, 'outcome' | 'reason' | 'origin'> {
  if (within) return { outcome: within.outcome, reason: PART_OF[within.outcome], origin: 'within' };
  if (tag.outcome !== undefined) {
    const origin = who('outcome');
    return { outcome: tag.outcome, reason: `${tag.outcome}: ${ORIGIN_WORDS[origin]}`, origin };
  }
  // Run-time content is never baked into a picture.
  if (tag.slot !== undefined && layer.kind !== 'group')
    return {
      outcome: 'element',
      reason: `element: the slot ${tag.slot} is filled at run time`,
      origin: 'name',
    };
  for (const rule of RULES) {
    const verdict = rule.judge(layer, facts);
    // A layer that starts hidden is on the page, although the mockup does not show it.
    const starts = (tag.hidden === true || asShown) && (rule.name === 'unseen' || rule.name === 'state');
    const isOpened = rule.name === 'icon' && facts.opened.has(layer.id);
    if (verdict && !starts && !isOpened) return { ...verdict, origin: rule.name };
  }
  return { outcome: 'element', reason: 'element: nothing says otherwise', origin: 'default' };
}

function decideRole(
  layer: Layer,
  outcome: Outcome,
  around: Surroundings,
  facts: Facts,
  { tag, who }: LayerTag,
): { role: Role; reason: string } {
  if (tag.role !== undefined) return { role: tag.role, reason: ORIGIN_WORDS[who('role')] };
  // A layer that is no element has no semantics on the page.
  if (outcome !== 'element')
    return outcome === 'picture'
      ? { role: 'picture', reason: 'it is a picture' }
      : { role: 'box', reason: 'it is not on the page' };
  if (tag.href !== undefined && !isForbidden('link', around))
    return { role: 'link', reason: `leads to ${tag.href}` };
  if (tag.slot !== undefined && layer.kind === 'bitmap') return { role: 'text', reason: 'a slot for text' };
  const place = { ...around, parent: around.elements.at(-1) ?? 'main' };
  for (const rule of ROLE_RULES) {
    const verdict = rule(layer, outcome, facts, place);
    if (verdict && !isForbidden(verdict.role, around)) return verdict;
  }
  // Text stays text where no role is allowed.
  return { role: layer.kind === 'text' ? 'text' : 'box', reason: 'nothing says more' };
}

function isForbidden(role: Role, { elements }: Surroundings): boolean {
  return roleEntry(role).neverInside?.some((element) => elements.includes(element)) ?? false;
}
