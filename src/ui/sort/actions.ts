import { OUTCOMES, OUTCOME_NAMES } from '../../core/sort/vocabulary';
import { READY_VIEWS } from '../../core/sort/find/query';
import { FIND_FIELD } from './FindBar';
import type { SortState } from './store';

/** Something that can be done in the Sort step, and the keys that do it in the worksheet. */
export interface Action {
  readonly name: string;
  readonly keys: string;
  readonly run: (state: SortState) => void;
}

export const ACTIONS: readonly Action[] = [
  { name: 'Find layers', keys: '/', run: () => document.getElementById(FIND_FIELD)?.focus() },
  { name: 'Go to the next layer found', keys: 'N', run: (state) => state.seek(1) },
  { name: 'Go to the layer found before', keys: 'Shift N', run: (state) => state.seek(-1) },
  { name: 'Show only what is found', keys: '', run: (state) => state.showOnlyFound(!state.onlyFound) },
  { name: 'Show all layers', keys: '', run: (state) => state.look('') },
  ...READY_VIEWS.map(({ name, query }) => ({
    name: `Find: ${name}`,
    keys: '',
    run: (state: SortState) => state.look(query),
  })),
  ...OUTCOME_NAMES.map((outcome) => ({
    name: `Becomes ${outcome}: ${OUTCOMES[outcome].says}`,
    keys: `${OUTCOMES[outcome].letter} in Becomes`,
    run: (state: SortState) => state.setFacet('outcome', outcome),
  })),
  {
    name: 'Let Orden decide what it becomes',
    keys: 'Delete in Becomes',
    run: (state) => state.setFacet('outcome', null),
  },
  { name: 'Starts hidden', keys: 'Enter in Starts', run: (state) => state.setFacet('hidden', true) },
  {
    name: 'Rename what is chosen',
    keys: 'R',
    run: (state) => state.open('names'),
  },
  { name: 'Copy the tags of this layer', keys: 'C', run: (state) => state.copyTags() },
  { name: 'Put the copied tags on all that is chosen', keys: 'V', run: (state) => state.pasteTags() },
  { name: 'Choose all layers of the worksheet', keys: 'Ctrl A', run: (state) => state.selectAll() },
  { name: 'Undo', keys: 'Ctrl Z', run: (state) => state.undo() },
  { name: 'Redo', keys: 'Ctrl Y', run: (state) => state.redo() },
];
