import { OUTCOMES, OUTCOME_NAMES } from '../../core/sort/vocabulary';
import { READY_VIEWS } from '../../core/sort/find/query';
import { focusFind, focusTags } from './focus';
import type { SortState } from './store/state';

/** An action of the Sort step, with its keys in the worksheet. */
export interface Action {
  readonly name: string;
  readonly keys: string;
  readonly run: (state: SortState) => void;
}

export const ACTIONS: readonly Action[] = [
  { name: 'Find layers', keys: '/', run: focusFind },
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
  { name: 'Make one picture of what is chosen', keys: 'M', run: (state) => state.merge() },
  { name: 'Take the chosen picture apart', keys: 'X', run: (state) => state.takeApart() },
  { name: 'Say more of what is chosen: all tags', keys: 'T', run: focusTags },
  { name: 'Go to the next undecided layer', keys: 'U', run: (state) => state.seekUndecided() },
  { name: 'Go to the next of the same group', keys: 'Alt Down', run: (state) => state.moveBeside(1) },
  { name: 'Go to the one before in the same group', keys: 'Alt Up', run: (state) => state.moveBeside(-1) },
  { name: 'Fold the innermost groups', keys: '[', run: (state) => state.foldLevel(-1) },
  { name: 'Unfold one level', keys: ']', run: (state) => state.foldLevel(1) },
  { name: 'Show the whole screen', keys: 'W', run: (state) => state.askZoom('whole') },
  { name: 'Show the mockup at 1:1', keys: '1', run: (state) => state.askZoom('actual') },
  { name: 'Show what is chosen large', keys: 'Z', run: (state) => state.askZoom('chosen') },
  {
    name: 'Show what is chosen alone, or all again',
    keys: 'I',
    run: (state) => state.show(state.shown === 'layers' ? 'screen' : 'layers'),
  },
  {
    name: 'Show the page that it gives, or the mockup again',
    keys: 'L',
    run: (state) => state.show(state.shown === 'page' ? 'screen' : 'page'),
  },
  { name: 'Show pictures alone', keys: '', run: (state) => state.show('pictures') },
  { name: 'Show hidden layers too', keys: '', run: (state) => state.show('hidden') },
  { name: 'Show what lies past the edge', keys: '', run: (state) => state.show('all') },
  {
    name: 'Show the mockup in its next theme, or as drawn',
    keys: 'Y',
    run: (state) => state.nextAppearance(),
  },
  { name: 'Copy the tags of this layer', keys: 'C', run: (state) => state.copyTags() },
  { name: 'Put the copied tags on all that is chosen', keys: 'V', run: (state) => state.pasteTags() },
  { name: 'Choose all layers of the worksheet', keys: 'Ctrl A', run: (state) => state.selectAll() },
  {
    name: 'Take away the SVG with its tags, for the drawing program',
    keys: '',
    run: ({ opened }) => window.location.assign(`/api/mockups/${opened.id}/tagged`),
  },
  { name: 'See what the screen becomes, in figures', keys: 'F', run: (state) => state.open('summary') },
  { name: 'Say who you are, for those who work beside you', keys: '', run: (state) => state.open('who') },
  { name: 'Undo', keys: 'Ctrl Z', run: (state) => state.undo() },
  { name: 'Redo', keys: 'Ctrl Y', run: (state) => state.redo() },
];
