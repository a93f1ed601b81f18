import type { LayerId } from '../../src/core/mockup/layer';
import type { Decisions } from '../../src/core/sort/decision';

/** True for a layer without an element of its own: put aside, or inside a picture. */
export function isAside(key: LayerId, decisions: Decisions): boolean {
  const decision = decisions.get(key);
  return (
    !decision || decision.outcome === 'aside' || decision.outcome === 'sample' || decision.within !== null
  );
}
