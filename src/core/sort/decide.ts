import type { Measures } from '../mockup/bounds';
import type { Layer, LayerKey } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';
import type { Decision, Decisions } from './decision';
import { gatherFacts, type Facts } from './facts';
import { proposeName, safeName } from './outputNames';
import { ROLE_RULES } from './roles/roles';
import { RULES } from './rules/rules';
import type { Tag, Tags } from './tag';
import { roleEntry, type Outcome, type Role } from './vocabulary';

/** Decides for every layer what it becomes: a person's tag first, then the first rule that knows. */
export function decide(mockup: Mockup, measures: ReadonlyMap<string, Measures>, tags: Tags): Decisions {
  const decisions = new Map<LayerKey, Decision>();
  for (const screen of mockup.screens) {
    const measured = measures.get(screen.key);
    if (!measured) continue;
    const facts = gatherFacts(mockup, screen, measured);
    for (const layer of screen.root.layers)
      decideLayer(layer, { within: null, elements: [] }, facts, tags, decisions);
  }
  return decisions;
}

interface Around {
  readonly within: { readonly key: LayerKey; readonly outcome: Outcome } | null;
  /** The elements around, outermost first. */
  readonly elements: readonly string[];
}

function decideLayer(
  layer: Layer,
  around: Around,
  facts: Facts,
  tags: Tags,
  into: Map<LayerKey, Decision>,
): void {
  const decision = decideOne(layer, around, facts, tags.get(layer.key) ?? {});
  into.set(layer.key, decision);
  if (layer.kind !== 'group') return;
  const takesIn = decision.outcome === 'picture' || decision.outcome === 'aside';
  const within = around.within ?? (takesIn ? { key: layer.key, outcome: decision.outcome } : null);
  const elements = [...around.elements, roleEntry(decision.role).element];
  for (const child of layer.layers) decideLayer(child, { within, elements }, facts, tags, into);
}

function decideOne(layer: Layer, around: Around, facts: Facts, tag: Tag): Decision {
  const { outcome, reason, origin } = decideOutcome(layer, around, facts, tag);
  const { role, reason: roleReason } = decideRole(layer, outcome, around, facts, tag);
  const proposed = proposeName(layer);
  const said = tag.outputName === undefined ? '' : safeName(tag.outputName);
  return {
    outcome,
    role,
    reason,
    roleReason,
    origin,
    within: around.within?.key ?? null,
    outputName: said || proposed.name,
    named: said !== '' || proposed.named,
    classes: tag.classes ?? [],
    hidden: tag.hidden ?? false,
  };
}

function decideOutcome(
  layer: Layer,
  { within }: Around,
  facts: Facts,
  tag: Tag,
): Pick<Decision, 'outcome' | 'reason' | 'origin'> {
  if (within) {
    const part = within.outcome === 'picture' ? 'part of the picture around it' : 'put aside with its group';
    return { outcome: within.outcome, reason: part, origin: 'within' };
  }
  if (tag.outcome !== undefined)
    return { outcome: tag.outcome, reason: `${tag.outcome}: you said so`, origin: 'person' };
  for (const rule of RULES) {
    const verdict = rule.judge(layer, facts);
    // A layer that is to start hidden is on the page, although it is not seen in the mockup.
    if (verdict && !(tag.hidden === true && rule.name === 'unseen')) return { ...verdict, origin: rule.name };
  }
  return { outcome: 'element', reason: 'element: nothing says otherwise', origin: 'default' };
}

function decideRole(
  layer: Layer,
  outcome: Outcome,
  around: Around,
  facts: Facts,
  tag: Tag,
): { role: Role; reason: string } {
  if (tag.role !== undefined) return { role: tag.role, reason: 'you said so' };
  for (const rule of ROLE_RULES) {
    const verdict = rule(layer, outcome, facts);
    if (verdict && !isForbidden(verdict.role, around)) return verdict;
  }
  return { role: 'box', reason: 'nothing says more' };
}

function isForbidden(role: Role, { elements }: Around): boolean {
  return roleEntry(role).neverInside?.some((element) => elements.includes(element)) ?? false;
}
