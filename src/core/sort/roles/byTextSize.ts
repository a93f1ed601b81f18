import { canTitle } from '../facts';
import { sizeOnScreen } from '../textSizes';
import { isCalled } from '../nameWords';
import { px } from '../rules/rule';
import type { Role } from '../vocabulary';
import type { RoleRule } from './roleRule';

/** Names of texts that are no titles, however large. */
const BRANDS: ReadonlySet<string> = new Set(['logo', 'brand', 'logotype', 'wordmark']);

/** A short text larger than the body is a heading; its level follows the order of sizes on the screen. */
export const byTextSize: RoleRule = (layer, outcome, facts, { inFurniture }) => {
  if (outcome !== 'element' || layer.kind !== 'text' || inFurniture || !canTitle(layer)) return null;
  if (isCalled(layer, BRANDS)) return null;
  const size = sizeOnScreen(layer, facts.measures);
  const level = facts.headingSizes.indexOf(size) + 1;
  if (level === 0) return null;
  const role = `heading-${level}` as Role;
  return { role, reason: `${px(size)} px, where most text has ${px(facts.bodySize)}` };
};
