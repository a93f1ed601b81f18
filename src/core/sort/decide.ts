import equal from 'fast-deep-equal';
import type { Measures } from '../mockup/bounds';
import type { Layer, LayerKey } from '../mockup/layer';
import type { Mockup, Screen } from '../mockup/mockup';
import { changedMap, differing, withGroups } from '../mockup/differing';
import { lastMadeFrom, rememberOf } from '../mockup/remember';
import type { Decision, Decisions } from './decision';
import { gatherFacts, type Facts } from './facts';
import { findFurniture } from './furniture';
import { findMerges, spreadMerges, type Merge, type Merges } from './merges';
import { proposeName, safeName, safePath } from './outputNames';
import { ROLE_RULES } from './roles/roles';
import { RULES } from './rules/rules';
import { layersOf, walk } from '../mockup/walk';
import { namedTags } from './names/namedTags';
import { SHARED, spreadTags } from './spread';
import { settleStates, type StatesOf } from './states';
import { mergeTags, type Facet, type Tag, type Tags } from './tag';
import { roleEntry, type Outcome, type Role, type State } from './vocabulary';

/**
 * Decides for every layer what it becomes: a person's tag first, then what its own name says, then the first rule
 * that knows. What an edit leaves alone is not decided again.
 */
export function decide(mockup: Mockup, measures: ReadonlyMap<string, Measures>, tags: Tags): Decisions {
  const last = lastDecisions.get(mockup);
  const now = [...judges(mockup, measures, tags)];
  const made: Made = { decided: new Map(), insides: last?.insides ?? new Map<LayerKey, Around>() };
  // What is around things is changed in place: it holds no longer if this comes to no end.
  lastDecisions.delete(mockup);
  for (const [at, judge] of now.entries()) {
    const changed = changedLayers(judge, last?.judges[at]);
    for (const layer of judge.screen.root.layers) decideLayer(layer, NOTHING_AROUND, judge, changed, made);
  }
  const decisions = last ? changedMap(last.decisions, made.decided) : made.decided;
  lastDecisions.set(mockup, { judges: now, decisions, insides: made.insides });
  return decisions;
}

/** What was decided last, and by what. */
const lastDecisions = new WeakMap<
  Mockup,
  { readonly judges: readonly Judge[]; readonly decisions: Decisions; readonly insides: Made['insides'] }
>();

interface Made {
  /** What was asked for again: all of it the first time, what an edit concerns after that. */
  readonly decided: Map<LayerKey, Decision>;
  /** What is around the layers in each group. */
  readonly insides: Map<LayerKey, Around>;
}

/** The layers of which something else is known or said than the last time, with the groups around them; null for all. */
function changedLayers(
  { screen, facts, sources }: Judge,
  last: Judge | undefined,
): ReadonlySet<LayerKey> | null {
  if (facts.contents !== last?.facts.contents || sources.name !== last.sources.name) return null;
  return withGroups(screen, [
    ...differing(last.sources.person, sources.person),
    ...differing(last.sources.alike, sources.alike, saysAlike),
    ...differing(last.facts.covered, facts.covered),
    ...differing(last.facts.states, facts.states),
    ...differing(last.facts.merges, facts.merges),
    ...[...facts.opened].filter((key) => !last.facts.opened.has(key)),
    ...[...last.facts.opened].filter((key) => !facts.opened.has(key)),
  ]);
}

/** A layer that shows another one in a state, and what it would become if it were on the page in that one's place. */
export interface Version {
  readonly base: LayerKey;
  readonly state: State;
  readonly layer: Layer;
  readonly decisions: Decisions;
}

/** Decides on the versions of things as if each were shown. */
export function decideVersions(
  mockup: Mockup,
  measures: ReadonlyMap<string, Measures>,
  tags: Tags,
  decisions: Decisions,
): readonly Version[] {
  if (!hasStates(decisions)) return [];
  const versions: Version[] = [];
  for (const { screen, facts, sources } of judges(mockup, measures, asTheirBases(tags, decisions))) {
    if (facts.states.size === 0) continue;
    const stateless = { ...facts, states: new Map<LayerKey, never>() };
    for (const layer of walk(screen.root)) {
      const version = facts.states.get(layer.key);
      if (!version) continue;
      const made: Made = { decided: new Map(), insides: new Map() };
      decideLayer(layer, { ...NOTHING_AROUND, asShown: true }, { facts: stateless, sources }, null, made);
      versions.push({ base: version.base.key, state: version.state, layer, decisions: made.decided });
    }
  }
  return versions;
}

function hasStates(decisions: Decisions): boolean {
  for (const { state } of decisions.values()) if (state !== null) return true;
  return false;
}

/** A version becomes what the thing becomes that it is a version of, unless a person says otherwise. */
function asTheirBases(tags: Tags, decisions: Decisions): Tags {
  const said = new Map(tags);
  for (const [key, { state }] of decisions) {
    const outcome = state && decisions.get(state.base)?.outcome;
    if (outcome === 'picture' || outcome === 'element') said.set(key, { outcome, ...said.get(key) });
  }
  return said;
}

/** What the layers' own names say. */
const ownTags = rememberOf((mockup: Mockup) => namedTags(layersOf(mockup)));

interface Judge {
  readonly screen: Screen;
  readonly facts: ScreenFacts;
  readonly sources: TagSources;
}

/** What is known and said of each screen. */
function* judges(mockup: Mockup, measures: ReadonlyMap<string, Measures>, tags: Tags): Generator<Judge> {
  const said = { person: tags, name: ownTags(mockup) };
  const isOff = (key: LayerKey) => (said.person.get(key)?.outcome ?? said.name.get(key)?.outcome) === 'aside';
  const furniture = findFurniture(mockup, measures);
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.key);
    if (!measured) continue;
    const found = gatherFacts(mockup, screen, measured, isOff, furniture);
    const alike = spreadTags(furniture, tags, (key) => measured.has(key));
    const sources: TagSources = {
      ...said,
      alike: spreadTags(found.repeats, alike, (key) => measured.has(key)),
    };
    const all = mergeTags(said.name, tags);
    const states = settleStates(found.states, all, screen, measured, mockup);
    const facts: ScreenFacts = {
      ...found,
      states,
      merges: spreadMerges(findMerges(screen, all), found.repeats, (key) => measured.has(key)),
      opened: openedGroups(sources.alike),
    };
    yield { screen, facts, sources };
  }
}

/** The facts of a screen, with what people and names say of them. */
interface ScreenFacts extends Facts {
  readonly states: StatesOf;
  readonly merges: Merges;
  /** Groups of which a person said what becomes of a part: no rule makes one picture of them. */
  readonly opened: ReadonlySet<LayerKey>;
}

function openedGroups(tags: Tags): ReadonlySet<LayerKey> {
  const opened = new Set<LayerKey>();
  for (const [key, { outcome, merge }] of tags) {
    if (outcome === undefined && merge === undefined) continue;
    for (let end = key.lastIndexOf('/'); end > 0; end = key.lastIndexOf('/', end - 1))
      opened.add(key.slice(0, end));
  }
  return opened;
}

interface TagSources {
  readonly person: Tags;
  /** What a person said, taken over by like-built siblings too. */
  readonly alike: Tags;
  readonly name: Tags;
}

/** What is said of one layer, and by whom. */
interface Said {
  readonly tag: Tag;
  readonly who: (facet: Facet) => Speaker;
}

/** Who settled a facet: a person, a person of a like-built sibling, or the layer's own name. */
type Speaker = 'person' | 'alike' | 'name';

const SAYS: Readonly<Record<Speaker, string>> = {
  person: 'you said so',
  alike: 'you said so of one that is built like it',
  name: 'its name says so',
};

interface Around {
  readonly within: { readonly key: LayerKey; readonly outcome: Exclude<Outcome, 'element'> } | null;
  /** The elements around, outermost first. */
  readonly elements: readonly string[];
  readonly inFurniture: boolean;
  /** True for what is decided on as if it were shown. */
  readonly asShown?: boolean;
}

/** All that is known of a layer and changes with edits. */
interface Known {
  /** Stands for the facts that no edit changes: it is made with them. */
  readonly contents: Facts['contents'];
  readonly name: Tag | undefined;
  readonly person: Tag | undefined;
  readonly alike: Tag | undefined;
  readonly cover: Layer | undefined;
  readonly isOpened: boolean;
  readonly version: ReturnType<StatesOf['get']>;
  readonly merge: Merge | undefined;
  readonly around: Around;
}

function isKnownAlike(one: Known, other: Known): boolean {
  return (
    one.contents === other.contents &&
    one.name === other.name &&
    one.person === other.person &&
    saysAlike(one.alike, other.alike) &&
    one.cover === other.cover &&
    one.isOpened === other.isOpened &&
    one.version === other.version &&
    one.merge === other.merge &&
    (one.around === other.around || equal(one.around, other.around))
  );
}

/** The tags that siblings take over are put together anew with every edit; what they say is not. */
function saysAlike(one: Tag | undefined, other: Tag | undefined): boolean {
  if (one === other) return true;
  return one !== undefined && other !== undefined && SHARED.every((facet) => one[facet] === other[facet]);
}

interface DecidedLayer {
  readonly decision: Decision;
  /** What is around the layers in it. */
  readonly inside: Around;
}

/** An edit changes what few layers become: the others keep their decision, the very same object. */
const lastDecided = lastMadeFrom<Layer, Known, DecidedLayer>(isKnownAlike);

const NOTHING_AROUND: Around = { within: null, elements: [], inFurniture: false };

/** @param changed the layers to be decided on; null for all */
function decideLayer(
  layer: Layer,
  around: Around,
  judge: Pick<Judge, 'facts' | 'sources'>,
  changed: ReadonlySet<LayerKey> | null,
  into: Made,
): void {
  const { key } = layer;
  if (changed && !changed.has(key)) return;
  const { facts, sources } = judge;
  const known: Known = {
    contents: facts.contents,
    name: sources.name.get(key),
    person: sources.person.get(key),
    alike: sources.alike.get(key),
    cover: facts.covered.get(key),
    isOpened: facts.opened.has(key),
    version: facts.states.get(key),
    merge: facts.merges.get(key),
    around,
  };
  const { decision, inside } = lastDecided(layer, known, (last) => {
    const made = decideAnew(layer, known, facts);
    return {
      decision: last && isSameDecision(last.decision, made.decision) ? last.decision : made.decision,
      inside: last && equal(last.inside, made.inside) ? last.inside : made.inside,
    };
  });
  into.decided.set(key, decision);
  if (layer.kind !== 'group') return;
  const concerned = into.insides.get(key) === inside ? changed : null;
  into.insides.set(key, inside);
  for (const child of layer.layers) decideLayer(child, inside, judge, concerned, into);
}

/** Asks first what edits change: all of a decision is much to go through. */
function isSameDecision(one: Decision, other: Decision): boolean {
  return one.outcome === other.outcome && equal(one, other);
}

function decideAnew(layer: Layer, { name, person, alike, around }: Known, facts: ScreenFacts): DecidedLayer {
  const who = (facet: Facet): Speaker =>
    person?.[facet] !== undefined ? 'person' : alike?.[facet] !== undefined ? 'alike' : 'name';
  const decision = decideOne(layer, around, facts, { tag: { ...name, ...alike }, who });
  if (layer.kind !== 'group') return { decision, inside: around };
  const { outcome, role } = decision;
  const within = around.within ?? (outcome === 'element' ? null : { key: layer.key, outcome });
  const elements = [...around.elements, roleEntry(role).element];
  const inFurniture = around.inFurniture || facts.places.has(layer.key);
  return { decision, inside: { ...around, within, elements, inFurniture } };
}

function decideOne(layer: Layer, around: Around, facts: ScreenFacts, said: Said): Decision {
  const { tag } = said;
  const merge = around.within ? null : (facts.merges.get(layer.key) ?? null);
  const lead = merge?.layers.at(-1) ?? null;
  const { outcome, reason, origin } = merge
    ? mergedOutcome(merge)
    : decideOutcome(layer, around, facts, said);
  const { role, reason: roleReason } = decideRole(layer, outcome, around, facts, said);
  const isPicture = outcome === 'picture';
  const proposed = proposeName(layer, isPicture);
  const version = facts.states.get(layer.key);
  const asked = tag.outputName ?? merge?.name ?? '';
  const outputName = isPicture ? safePath(asked) : safeName(asked);
  return {
    outcome,
    role,
    reason,
    roleReason,
    origin,
    within: around.within?.key ?? (lead === layer.key ? null : lead),
    outputName: outputName || proposed.name,
    named: outputName !== '' || proposed.named,
    classes: tag.classes ?? [],
    hidden: tag.hidden ?? false,
    repeat: facts.repeats.get(layer.key) ?? null,
    state: version ? { base: version.base.key, state: version.state } : null,
    furniture: facts.furniture.get(layer.key) ?? null,
    merge: lead === layer.key ? merge : null,
    slot: tag.slot ?? null,
    href: tag.href ?? layer.hints.href ?? null,
    scroll: tag.scroll ?? null,
    wish: {
      ...(tag.contents !== undefined && { contents: tag.contents }),
      ...(tag.gap !== undefined && { gap: tag.gap }),
      ...(tag.wide !== undefined && { wide: tag.wide }),
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

/** Why a layer becomes what the group around it becomes. */
const PART_OF: Readonly<Record<Exclude<Outcome, 'element'>, string>> = {
  picture: 'part of the picture around it',
  sample: 'one of the samples around it',
  aside: 'put aside with its group',
};

function decideOutcome(
  layer: Layer,
  { within, asShown = false }: Around,
  facts: ScreenFacts,
  { tag, who }: Said,
): Pick<Decision, 'outcome' | 'reason' | 'origin'> {
  if (within) return { outcome: within.outcome, reason: PART_OF[within.outcome], origin: 'within' };
  if (tag.outcome !== undefined) {
    const origin = who('outcome');
    return { outcome: tag.outcome, reason: `${tag.outcome}: ${SAYS[origin]}`, origin };
  }
  // What the program fills in is never baked into a picture.
  if (tag.slot !== undefined && layer.kind !== 'group')
    return {
      outcome: 'element',
      reason: `element: the slot ${tag.slot} is filled at run time`,
      origin: 'name',
    };
  for (const rule of RULES) {
    const verdict = rule.judge(layer, facts);
    // A layer that is to start hidden is on the page, although it is not seen in the mockup.
    const starts = (tag.hidden === true || asShown) && (rule.name === 'unseen' || rule.name === 'state');
    const isOpened = rule.name === 'icon' && facts.opened.has(layer.key);
    if (verdict && !starts && !isOpened) return { ...verdict, origin: rule.name };
  }
  return { outcome: 'element', reason: 'element: nothing says otherwise', origin: 'default' };
}

function decideRole(
  layer: Layer,
  outcome: Outcome,
  around: Around,
  facts: Facts,
  { tag, who }: Said,
): { role: Role; reason: string } {
  if (tag.role !== undefined) return { role: tag.role, reason: SAYS[who('role')] };
  // What is no element has no part in the page's meaning.
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
  // Whatever may not stand here, letters are letters.
  return { role: layer.kind === 'text' ? 'text' : 'box', reason: 'nothing says more' };
}

function isForbidden(role: Role, { elements }: Around): boolean {
  return roleEntry(role).neverInside?.some((element) => elements.includes(element)) ?? false;
}
