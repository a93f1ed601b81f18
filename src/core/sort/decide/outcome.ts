import type { Layer } from '../../mockup/layer';
import type { Decision } from '../decision';
import type { Merge } from '../merges';
import { RULES } from '../rules/rules';
import type { Outcome } from '../vocabulary';
import type { Surroundings } from './surroundings';
import type { ScreenFacts } from './screenContext';
import { type LayerTag, ORIGIN_WORDS } from './tagSources';

export function mergedOutcome({ name, layers }: Merge): Pick<Decision, 'outcome' | 'reason' | 'origin'> {
  return {
    outcome: 'picture',
    reason: `picture: ${layers.length === 1 ? 'all' : `${layers.length} layers`} of the one picture ${name}`,
    origin: 'person',
  };
}

/** Why a layer gets the outcome of the group around it. */
const PART_OF: Readonly<Record<Exclude<Outcome, 'element'>, string>> = {
  picture: 'part of the picture around it',
  sample: 'one of the samples around it',
  aside: 'put aside with its group',
};

export function decideOutcome(
  layer: Layer,
  { within, inScroll, asShown = false }: Surroundings,
  facts: ScreenFacts,
  { tag, who }: LayerTag,
): Pick<Decision, 'outcome' | 'reason' | 'origin'> {
  if (within) return { outcome: within.outcome, reason: PART_OF[within.outcome], origin: 'within' };
  if (tag.outcome === 'picture' && facts.aroundSlots.has(layer.id))
    return {
      outcome: 'element',
      reason: 'element: the program fills a part of it, the other parts are one picture',
      origin: who('outcome'),
    };
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
    const starts = (tag.hidden === true || asShown) && ['unseen', 'outside', 'state'].includes(rule.name);
    const isOpened = ['icon', 'drawing'].includes(rule.name) && facts.opened.has(layer.id);
    const isReached = inScroll && rule.name === 'outside';
    if (verdict && !starts && !isOpened && !isReached) return { ...verdict, origin: rule.name };
  }
  return { outcome: 'element', reason: 'element: nothing says otherwise', origin: 'default' };
}
