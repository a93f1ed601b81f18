import { ANDROID } from '../../markup/androidNamespaces';
import { element, type MarkupElement } from '../../markup/element';
import type { Look } from '../../look/look';
import type { PageNode } from '../../page/node';
import type { State } from '../../sort/vocabulary';

/** How a view says that it is in a state (Android, State list: `android:state_…`). */
const SAYS: Readonly<Record<State, readonly [attribute: string, value: string]>> = {
  disabled: ['android:state_enabled', 'false'],
  active: ['android:state_pressed', 'true'],
  focus: ['android:state_focused', 'true'],
  hover: ['android:state_hovered', 'true'],
  checked: ['android:state_checked', 'true'],
  unchecked: ['android:state_checked', 'false'],
  selected: ['android:state_selected', 'true'],
  open: ['android:state_activated', 'true'],
  closed: ['android:state_activated', 'false'],
};

/** The looks of a node in its states, in the order in which a state list is searched: the first that holds is taken. */
export function stateLooks({
  states = [],
}: PageNode): readonly { readonly state: State; readonly look: Look }[] {
  const order = Object.keys(SAYS);
  return states
    .filter(({ visibility }) => visibility === undefined)
    .toSorted((one, other) => order.indexOf(one.state) - order.indexOf(other.state));
}

/**
 * A list of a value for each state, and that at rest; null where no state has another one.
 * @param kind the attribute that holds the value
 */
export function stateList(
  node: PageNode,
  kind: 'android:drawable' | 'android:color',
  valueOf: (look: Look) => string | null,
): MarkupElement | null {
  const rest = valueOf(node.look);
  const items = stateLooks(node).flatMap(({ state, look }) => {
    const value = valueOf(look);
    const [attribute, said] = SAYS[state];
    return value === rest ? [] : [element('item', { [attribute]: said, [kind]: value ?? NOTHING[kind] })];
  });
  if (items.length === 0) return null;
  const names = { 'xmlns:android': ANDROID };
  return element('selector', names, [...items, element('item', { [kind]: rest ?? NOTHING[kind] })]);
}

/** What is drawn where a look has nothing. */
const NOTHING = {
  'android:drawable': '@android:color/transparent',
  'android:color': '@android:color/transparent',
};
