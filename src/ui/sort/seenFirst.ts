import equal from 'fast-deep-equal';
import type { Layer, LayerKey } from '../../core/mockup/layer';
import type { Mockup } from '../../core/mockup/mockup';
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
  const waiting = new Map<LayerKey, Decision>();
  for (const [key, decision] of next) {
    const before = last.get(key);
    if (!before) return null;
    if (before !== decision && !isSeen(key) && concernsItself(before, decision)) waiting.set(key, before);
  }
  if (waiting.size < WORTH) return null;
  const decisions = new Map(next);
  for (const [key, before] of waiting) decisions.set(key, before);
  return { decisions, waiting: withGroups(mockup, new Set(waiting.keys()), isSeen) };
}

function withGroups(
  { screens }: Mockup,
  waiting: ReadonlySet<LayerKey>,
  isSeen: (key: LayerKey) => boolean,
): ReadonlySet<LayerKey> {
  const all = new Set(waiting);
  const holds = (layer: Layer): boolean => {
    const inside = layer.kind === 'group' && layer.layers.filter(holds).length > 0;
    if (inside && !isSeen(layer.key)) all.add(layer.key);
    return inside || waiting.has(layer.key);
  };
  screens.forEach(({ root }) => holds(root));
  return all;
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
