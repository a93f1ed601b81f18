import type { Layer } from '../../mockup/layer';
import type { Facts } from '../facts';
import { ROLE_RULES } from '../roles/roles';
import { roleEntry, type Outcome, type Role } from '../vocabulary';
import type { Surroundings } from './surroundings';
import { type LayerTag, ORIGIN_WORDS } from './tagSources';

export function decideRole(
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
