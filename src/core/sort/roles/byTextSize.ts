import { canTitle, type Facts } from '../facts';
import { sizeOnScreen } from '../textSizes';
import { isCalled } from '../nameWords';
import { px } from '../rules/rule';
import type { TextLayer } from '../../mockup/layer';
import type { Role } from '../vocabulary';
import type { RoleRule } from './roleRule';

/** The level of a text's size on the screen; of several of the largest size, the topmost is the title. */
export function headingLevel(text: TextLayer, facts: Facts): number | null {
  const level = facts.headingSizes.indexOf(sizeOnScreen(text, facts.measures)) + 1;
  if (level === 0) return null;
  return level === 1 && facts.title !== text.id ? 2 : level;
}

/** Names of texts that are no titles, however large. */
const BRANDS: ReadonlySet<string> = new Set(['logo', 'brand', 'logotype', 'wordmark']);

/** A short text larger than the body is a heading; its level follows the order of sizes on the screen. */
export const byTextSize: RoleRule = (layer, outcome, facts, { inFurniture }) => {
  if (outcome !== 'element' || layer.kind !== 'text' || inFurniture || !canTitle(layer)) return null;
  if (isCalled(layer, BRANDS)) return null;
  const size = sizeOnScreen(layer, facts.measures);
  const level = headingLevel(layer, facts);
  if (level === null) return null;
  const role = `heading-${level}` as Role;
  return { role, reason: `${px(size)} px, where most text has ${px(facts.bodySize)}` };
};
