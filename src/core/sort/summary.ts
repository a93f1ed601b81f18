import type { Box } from '../mockup/box';
import type { LayerId } from '../mockup/layer';
import type { Screen } from '../mockup/mockup';
import { walk } from '../mockup/walk';
import type { Decisions } from './decision';
import { OUTCOME_NAMES, type Outcome } from './vocabulary';

/** The share of a screen with one outcome. */
export interface OutcomeShare {
  readonly outcome: Outcome;
  readonly layers: number;
  /** The area of its layers, px²; a picture counts once, groups by their parts, overlaps twice. */
  readonly area: number;
}

/** Layers and area of a screen by outcome, in the order of the vocabulary. */
export function outcomeShares(
  screen: Screen,
  decisions: Decisions,
  boxes: ReadonlyMap<LayerId, Box>,
): readonly OutcomeShare[] {
  const shares = new Map<Outcome, { layers: number; area: number }>(
    OUTCOME_NAMES.map((outcome) => [outcome, { layers: 0, area: 0 }]),
  );
  for (const layer of walk(screen.root)) {
    const decision = decisions.get(layer.id);
    const share = decision && shares.get(decision.outcome);
    if (!share) continue;
    share.layers += 1;
    const box = boxes.get(layer.id);
    const counts = decision.within === null && (layer.kind !== 'group' || decision.outcome !== 'element');
    if (box && counts) share.area += areaOn(box, screen);
  }
  return OUTCOME_NAMES.map((outcome) => ({ outcome, ...(shares.get(outcome) ?? { layers: 0, area: 0 }) }));
}

/** The part of the box that lies on the screen, px². */
function areaOn({ x, y, width, height }: Box, screen: Screen): number {
  const across = Math.min(x + width, screen.width) - Math.max(x, 0);
  const down = Math.min(y + height, screen.height) - Math.max(y, 0);
  return Math.max(0, across) * Math.max(0, down);
}
