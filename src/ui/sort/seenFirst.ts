import equal from 'fast-deep-equal';
import { changedMap, differing, withGroups } from '../../core/mockup/differing';
import type { LayerKey } from '../../core/mockup/layer';
import type { Decided, Decision, Decisions } from '../../core/sort/decision';

/** As many decisions must be able to wait before it pays to make the page twice. */
const WORTH = 50;

/** Decisions of which some are from before, as their turn comes later. */
export interface SeenFirst {
  readonly decisions: Decisions;
  /** The layers whose turn comes later, and the groups around them that are not seen either. */
  readonly waiting: ReadonlySet<LayerKey>;
}

/**
 * What is decided, but where nobody sees it as it was before: the page of these is made in a fraction of the time, and
 * what is seen of it is as it will be. Null where too little could wait.
 * @param last the decisions of the page before
 */
export function seenFirst(
  { mockup, decisions: next }: Pick<Decided, 'mockup' | 'decisions'>,
  last: Decisions,
  isSeen: (key: LayerKey) => boolean,
): SeenFirst | null {
  const waiting = new Set<LayerKey>();
  const seen = new Map<LayerKey, Decision>();
  for (const key of differing(last, next)) {
    const [before, decision] = [last.get(key), next.get(key)];
    if (!before || !decision) return null;
    if (!isSeen(key) && concernsItself(before, decision)) waiting.add(key);
    else seen.set(key, decision);
  }
  if (waiting.size < WORTH) return null;
  const around = mockup.screens.flatMap((screen) => [...withGroups(screen, waiting)]);
  return {
    decisions: changedMap(last, seen),
    waiting: new Set(around.filter((key) => waiting.has(key) || !isSeen(key))),
  };
}

/** Whether what becomes otherwise is this layer alone, not what it does to others. */
function concernsItself(before: Decision, after: Decision): boolean {
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
