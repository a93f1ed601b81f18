import equal from 'fast-deep-equal';
import type { Layer, LayerId } from '../../mockup/layer';
import { memoizeLastBy } from '../../mockup/memoize';
import type { Decision, PictureOverride } from '../decision';
import type { Facts } from '../facts';
import type { Merge } from '../merges';
import { proposeName, safeName, safePath } from '../outputNames';
import { SHARED_FACETS, type Facet } from '../facets/facets';
import type { StatesOf } from '../states';
import type { Tag } from '../tag';
import { roleEntry, type State } from '../vocabulary';
import type { Surroundings } from './surroundings';
import type { ScreenContext, ScreenFacts } from './screenContext';
import type { TagOrigin, LayerTag } from './tagSources';
import { mergedOutcome, decideOutcome } from './outcome';
import { decideRole } from './role';

export interface DecisionRun {
  /** Decisions of this run: all of them at first, then those whose inputs changed. */
  readonly decided: Map<LayerId, Decision>;
  /** The surroundings that each group gives to its children. */
  readonly insides: Map<LayerId, Surroundings>;
}

/** All inputs of a layer's decision that edits can change. */
interface DecisionInputs {
  /** Stands for the facts that no edit changes, since it is created with them. */
  readonly contents: Facts['contents'];
  readonly capabilities: Facts['capabilities'];
  readonly name: Tag | undefined;
  readonly person: Tag | undefined;
  readonly alike: Tag | undefined;
  readonly cover: Layer | undefined;
  readonly isOpened: boolean;
  readonly isAroundSlot: boolean;
  readonly version: ReturnType<StatesOf['get']>;
  readonly merge: Merge | undefined;
  /** The states of the control that the layer is; undefined for none. */
  readonly controls: readonly State[] | undefined;
  readonly around: Surroundings;
}

function areSameInputs(one: DecisionInputs, other: DecisionInputs): boolean {
  return (
    one.contents === other.contents &&
    one.capabilities === other.capabilities &&
    one.name === other.name &&
    one.person === other.person &&
    areSameSharedFacets(one.alike, other.alike) &&
    one.cover === other.cover &&
    one.isOpened === other.isOpened &&
    one.isAroundSlot === other.isAroundSlot &&
    one.version === other.version &&
    one.merge === other.merge &&
    equal(one.controls, other.controls) &&
    (one.around === other.around || equal(one.around, other.around))
  );
}

/** Shared tags are merged anew with every edit, so they are compared by value. */
export function areSameSharedFacets(one: Tag | undefined, other: Tag | undefined): boolean {
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

/** @param changed the layers to decide on; null for all */
export function decideLayer(
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
    capabilities: facts.capabilities,
    name: sources.name.get(id),
    person: sources.person.get(id),
    alike: sources.alike.get(id),
    cover: facts.covered.get(id),
    isOpened: facts.opened.has(id),
    isAroundSlot: facts.aroundSlots.has(id),
    version: facts.states.get(id),
    merge: facts.merges.get(id),
    controls: facts.controls.get(id),
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
  const named = decision.named && layer.sourceName !== null ? { nearestName: decision.outputName } : {};
  const inScroll = around.inScroll || decision.scroll !== null;
  return { decision, inside: { ...around, within, elements, inFurniture, inScroll, ...named } };
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
    roleSaid: tag.role !== undefined,
    roleReason,
    origin,
    within: around.within?.key ?? (lead === layer.id ? null : lead),
    outputName: outputName || (isPicture && !proposed.named && around.nearestName) || proposed.name,
    named: outputName !== '' || proposed.named,
    nameSaid: tag.outputName !== undefined && outputName !== '',
    classes: tag.classes ?? [],
    lookName: tag.lookName ?? null,
    ownClass: tag.ownClass ?? null,
    looksLike: tag.looksLike ?? null,
    holds: tag.holds ?? null,
    hidden: tag.hidden ?? false,
    repeat: facts.repeats.get(layer.id) ?? null,
    state: version ? { base: version.base.id, state: version.state } : null,
    furniture: facts.furniture.get(layer.id) ?? null,
    merge: lead === layer.id ? merge : null,
    labelFor: outcome === 'element' ? (facts.labelled.get(layer.id) ?? null) : null,
    labels: tag.labels ?? null,
    inputType: tag.inputType ?? null,
    slot: tag.slot ?? null,
    href: tag.href ?? layer.hints.href ?? null,
    scroll: tag.scroll ?? null,
    layoutOverride: {
      ...(tag.contents !== undefined && { contents: tag.contents }),
      ...(tag.gap !== undefined && { gap: tag.gap }),
      ...(tag.width !== undefined && { width: tag.width }),
    },
    alternative: tag.alt ?? null,
    recipes: tag.recipes ?? null,
    pictureOverride: pictureOverrideOf(tag),
    align: tag.align ?? null,
    note: tag.note ?? null,
  };
}

/** One object for all layers of which nothing is said: decisions are compared by identity. */
const NO_OVERRIDE: PictureOverride = {};

function pictureOverrideOf({ pictureBox, pictureGround, pictureContents }: Tag): PictureOverride {
  if (pictureBox === undefined && pictureGround === undefined && pictureContents === undefined)
    return NO_OVERRIDE;
  return {
    ...(pictureBox !== undefined && { box: pictureBox }),
    ...(pictureGround !== undefined && { ground: pictureGround }),
    ...(pictureContents !== undefined && { contents: pictureContents }),
  };
}
