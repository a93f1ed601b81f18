import { ACTION_GROUPS, ACTIONS } from './actions';

/** Keys with what they do. */
interface KeyGroup {
  readonly group: string;
  readonly keys: readonly (readonly [key: string, does: string])[];
}

const WALK: KeyGroup = {
  group: 'Walking the worksheet',
  keys: [
    ['↑ ↓ ← →', 'Move by cell; ← and → fold and unfold groups'],
    ['Shift ↑ ↓', 'Extend the selection'],
    ['Home End', 'First and last layer'],
    ['Ctrl Space', 'Add the layer to the selection'],
    ['Enter', 'Edit the cell'],
    ['Del', 'Reset the cell to automatic'],
    ['.', 'List all actions'],
    ['Esc', 'Close what is open; back to the worksheet'],
    ['?', 'This page'],
  ],
};

/** Every key of the Sort step, in groups. */
export const KEYS: readonly KeyGroup[] = [
  WALK,
  ...ACTION_GROUPS.map((group) => ({
    group,
    keys: ACTIONS.filter((action) => action.group === group && action.keys !== '').map(
      ({ keys, name }) => [keys, name] as const,
    ),
  })).filter(({ keys }) => keys.length > 0),
];
