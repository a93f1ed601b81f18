import equal from 'fast-deep-equal';
import { withEntries, changedKeys, withAncestors } from '../../core/mockup/changedKeys';
import type { LayerId } from '../../core/mockup/layer';
import type { Decided, Decision, Decisions } from '../../core/sort/decision';

/** The fewest deferred decisions that make a second build of the page worth it. */
const FEWEST_DEFERRED = 50;

/** Decisions of which some are older, since they are deferred. */
export interface ViewportFirst {
  readonly decisions: Decisions;
  /** The deferred layers, and the groups around them that are out of view too. */
  readonly waiting: ReadonlySet<LayerId>;
}

/**
 * Uses new decisions for visible layers and keeps the previous ones elsewhere, so that the visible part of
 * the page is ready sooner. Null when too few layers could wait.
 * @param last the decisions of the last page
 */
export function viewportFirst(
  { mockup, decisions: next }: Pick<Decided, 'mockup' | 'decisions'>,
  last: Decisions,
  isSeen: (key: LayerId) => boolean,
): ViewportFirst | null {
  const waiting = new Set<LayerId>();
  const seen = new Map<LayerId, Decision>();
  for (const key of changedKeys(last, next)) {
    const [before, decision] = [last.get(key), next.get(key)];
    if (!before || !decision) return null;
    if (!isSeen(key) && affectsOnlyItself(before, decision)) waiting.add(key);
    else seen.set(key, decision);
  }
  if (waiting.size < FEWEST_DEFERRED) return null;
  const around = mockup.screens.flatMap((screen) => [...withAncestors(screen, waiting)]);
  return {
    decisions: withEntries(last, seen),
    waiting: new Set(around.filter((key) => waiting.has(key) || !isSeen(key))),
  };
}

/** True when the change affects this layer alone. */
function affectsOnlyItself(before: Decision, after: Decision): boolean {
  return (
    before.within === after.within &&
    before.outcome !== 'sample' &&
    after.outcome !== 'sample' &&
    equal(before.merge, after.merge) &&
    equal(before.state, after.state) &&
    equal(before.repeat, after.repeat) &&
    equal(before.furniture, after.furniture)
  );
}
