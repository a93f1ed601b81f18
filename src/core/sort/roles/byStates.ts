import type { State } from '../vocabulary';
import type { RoleRule } from './roleRule';

/** The states that only a control has (HTML, §4.10.18.5, and ARIA, `aria-pressed`). */
const OF_CONTROLS: ReadonlySet<State> = new Set(['active', 'focus', 'disabled', 'open', 'closed']);
const OF_SWITCHES: ReadonlySet<State> = new Set(['checked', 'unchecked']);

/** A layer that can be pressed, focused or switched is a button. */
export const byStates: RoleRule = (layer, outcome, facts, { states }) => {
  const switched = states.find((state) => OF_SWITCHES.has(state));
  if (switched) return { role: 'switch', reason: `it has the state ${switched}` };
  const pressed = states.find((state) => OF_CONTROLS.has(state));
  return pressed ? { role: 'button', reason: `it has the state ${pressed}` } : null;
};
