import type { PageNode } from '../../page/node';
import type { State } from '../../sort/vocabulary';

/** A state that a program sets, with the attribute that says it. */
export interface StateName {
  readonly name: string;
  readonly attribute: string;
  readonly on: string | true;
  /** The value while the state is off; null for no attribute. */
  readonly off: string | null;
}

/** The states of a control that a program sets, not the reader's pointer or keyboard. */
export function stateNamesOf({ states = [] }: PageNode): readonly StateName[] {
  const own = states.filter(({ isControl }) => isControl);
  const named = own.flatMap(({ state, source }) => {
    const said =
      source === 'label' ? null : ((source === 'button' ? BY_BUTTON[state] : undefined) ?? BY_ARIA[state]);
    return said ? [said] : [];
  });
  return [...new Map(named.map((each) => [each.name, each])).values()];
}

const BY_ARIA: Readonly<Partial<Record<State, StateName>>> = {
  disabled: { name: 'disabled', attribute: 'aria-disabled', on: 'true', off: null },
  checked: { name: 'checked', attribute: 'aria-checked', on: 'true', off: 'false' },
  unchecked: { name: 'checked', attribute: 'aria-checked', on: 'true', off: 'false' },
  selected: { name: 'selected', attribute: 'aria-current', on: 'true', off: null },
  open: { name: 'open', attribute: 'aria-expanded', on: 'true', off: 'false' },
  closed: { name: 'open', attribute: 'aria-expanded', on: 'true', off: 'false' },
};

const BY_BUTTON: Readonly<Partial<Record<State, StateName>>> = {
  disabled: { name: 'disabled', attribute: 'disabled', on: true, off: null },
  checked: { name: 'checked', attribute: 'aria-pressed', on: 'true', off: 'false' },
  unchecked: { name: 'checked', attribute: 'aria-pressed', on: 'true', off: 'false' },
};
