import type { LayerKey } from '../../src/core/mockup/layer';
import type { Decisions } from '../../src/core/sort/decision';

/** True for what is not on the page as a thing of its own: put aside, or inside of a picture. */
export function isAside(key: LayerKey, decisions: Decisions): boolean {
  const decision = decisions.get(key);
  return (
    !decision || decision.outcome === 'aside' || decision.outcome === 'sample' || decision.within !== null
  );
}
