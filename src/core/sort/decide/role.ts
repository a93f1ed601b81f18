import type { Layer } from '../../mockup/layer';
import { DRAWN_ROLE_RULES, PICTURE_ROLE_RULES, ROLE_RULES } from '../roles/roles';
import { roleEntry, type Outcome, type Role } from '../vocabulary';
import type { ScreenFacts } from './screenContext';
import type { Surroundings } from './surroundings';
import { type LayerTag, ORIGIN_WORDS } from './tagSources';

export function decideRole(
  layer: Layer,
  outcome: Outcome,
  around: Surroundings,
  facts: ScreenFacts,
  { tag, who }: LayerTag,
): { role: Role; reason: string } {
  if (tag.role !== undefined) return { role: tag.role, reason: ORIGIN_WORDS[who('role')] };
  // A layer that is no element has no semantics on the page.
  if (outcome !== 'element' && outcome !== 'picture') return { role: 'box', reason: 'it is not on the page' };
  const isPicture = outcome === 'picture';
  if (isPicture && around.within) return PICTURE;
  if (!isPicture && tag.href !== undefined && !isForbidden('link', around))
    return { role: 'link', reason: `leads to ${tag.href}` };
  if (tag.slot !== undefined && layer.kind === 'bitmap') return { role: 'text', reason: 'a slot for text' };
  const place = {
    ...around,
    parent: around.elements.at(-1) ?? 'main',
    states: facts.controls.get(layer.id) ?? [],
  };
  const isDrawn = layer.kind === 'group' && layer.layers.some(({ id }) => facts.merges.has(id));
  const rules = isPicture ? PICTURE_ROLE_RULES : isDrawn ? DRAWN_ROLE_RULES : ROLE_RULES;
  for (const rule of rules) {
    const verdict = rule(layer, outcome, facts, place);
    if (verdict && !isForbidden(verdict.role, around)) return verdict;
  }
  if (isPicture) return PICTURE;
  // Text stays text where no role is allowed.
  return { role: layer.kind === 'text' ? 'text' : 'box', reason: 'nothing says more' };
}

const PICTURE = { role: 'picture', reason: 'it is a picture' } as const;

function isForbidden(role: Role, { elements }: Surroundings): boolean {
  return roleEntry(role).neverInside?.some((element) => elements.includes(element)) ?? false;
}
