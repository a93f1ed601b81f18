import type { Report } from '../../findings/finding';
import { treeOf } from '../../mockup/tree';
import type { Mockup } from '../../mockup/mockup';
import type { Decisions } from '../decision';

/** The rules that put aside what is seen. */
const RULES: ReadonlySet<string> = new Set(['guides', 'state']);

/** Reports layers that are seen in the mockup and that a rule took off the page. */
export function reportLeftOff(mockup: Mockup, decisions: Decisions, report: Report): void {
  const tree = treeOf(mockup);
  decisions.forEach(({ outcome, origin, reason }, id) => {
    if (outcome !== 'aside' || !RULES.has(origin) || !tree.layer(id)?.visible) return;
    report('left-off', id, { reason: reason.replace(/^aside: /, '') });
  });
}
