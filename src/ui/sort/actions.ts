import { OUTCOMES, OUTCOME_NAMES } from '../../core/sort/vocabulary';
import { READY_VIEWS } from '../../core/sort/find/query';
import { focusFind, focusTags } from './focus';
import type { SortState } from './store/state';

/** The groups of actions, in the order in which they are listed. */
export const ACTION_GROUPS = ['Selection', 'Tags', 'Find', 'Worksheet', 'Mockup', 'More'] as const;
export type ActionGroup = (typeof ACTION_GROUPS)[number];

/** An action of the Sort step. */
export interface Action {
  readonly name: string;
  readonly group: ActionGroup;
  /** Its keys in the worksheet; empty for none. */
  readonly keys: string;
  /** Other words by which people look for it. */
  readonly also?: string;
  /** A short name for the bar of the selection and the context menu; absent for an action that is not in them. */
  readonly short?: string;
  /** Whether it has anything to do. Absent for always. */
  readonly can?: (state: SortState) => boolean;
  readonly run: (state: SortState) => void;
}

const hasSelection = ({ selection }: SortState) => selection.size > 0;
const hasFound = ({ found }: SortState) => found.length > 0;
const isPictureChosen = ({ selection, result }: SortState) =>
  [...selection].some((key) => result?.decisions.get(key)?.outcome === 'picture');
const isTaggedChosen = ({ selection, tags }: SortState) => [...selection].some((key) => tags.has(key));

export const ACTIONS: readonly Action[] = [
  {
    name: 'Merge the selection into one picture',
    short: 'Merge',
    group: 'Selection',
    keys: 'M',
    also: 'combine join group flatten one picture',
    can: hasSelection,
    run: (state) => state.merge(),
  },
  {
    name: 'Take the picture apart',
    short: 'Take apart',
    group: 'Selection',
    keys: 'X',
    also: 'split ungroup unmerge separate',
    can: isPictureChosen,
    run: (state) => state.takeApart(),
  },
  {
    name: 'Rename the selection',
    short: 'Rename',
    group: 'Selection',
    keys: 'R',
    also: 'output name class file',
    can: hasSelection,
    run: (state) => state.open('names'),
  },
  {
    name: 'Copy the selection as SVG',
    group: 'Selection',
    keys: '',
    also: 'clipboard vector picture',
    can: hasSelection,
    run: (state) => void state.copyPicture('svg'),
  },
  {
    name: 'Copy the selection as PNG',
    group: 'Selection',
    keys: '',
    also: 'clipboard image bitmap picture',
    can: hasSelection,
    run: (state) => void state.copyPicture('png'),
  },
  {
    name: 'Copy the tags of this layer',
    short: 'Copy tags',
    group: 'Selection',
    keys: 'C',
    can: ({ cursor }) => cursor !== null,
    run: (state) => state.copyTags(),
  },
  {
    name: 'Paste the copied tags on the selection',
    short: 'Paste tags',
    group: 'Selection',
    keys: 'V',
    can: (state) => state.copied !== null && hasSelection(state),
    run: (state) => state.pasteTags(),
  },
  {
    name: 'Show the selection alone, or all again',
    short: 'Show alone',
    group: 'Selection',
    keys: 'I',
    also: 'isolate solo focus hide others',
    can: hasSelection,
    run: (state) => state.show(state.shown === 'layers' ? 'screen' : 'layers'),
  },
  {
    name: 'Remove all tags of the selection',
    short: 'Reset',
    group: 'Selection',
    keys: '',
    also: 'delete clear automatic reset',
    can: isTaggedChosen,
    run: (state) => state.clearAll(),
  },
  ...OUTCOME_NAMES.map((outcome): Action => ({
    name: `Becomes ${outcome} – ${OUTCOMES[outcome].says}`,
    group: 'Tags',
    keys: `${OUTCOMES[outcome].letter} in Becomes`,
    also: {
      element: 'code html',
      picture: 'image bitmap raster',
      sample: 'style look class',
      aside: 'nothing delete remove leave out ignore',
    }[outcome],
    can: hasSelection,
    run: (state) => state.setFacet('outcome', outcome),
  })),
  {
    name: 'Becomes what Orden decides',
    group: 'Tags',
    keys: 'Del in Becomes',
    also: 'automatic reset',
    can: hasSelection,
    run: (state) => state.setFacet('outcome', null),
  },
  {
    name: 'Initially hidden',
    group: 'Tags',
    keys: '',
    also: 'hide invisible starts',
    can: hasSelection,
    run: (state) => state.setFacet('hidden', true),
  },
  {
    name: 'All tags of the selection: role, state, slot, link, layout …',
    group: 'Tags',
    keys: 'T',
    also: 'slot link href state role note gap width scroll alternative text alt details panel',
    run: focusTags,
  },
  { name: 'Find layers', group: 'Find', keys: '/', also: 'search filter', run: focusFind },
  { name: 'Next match', group: 'Find', keys: 'N', can: hasFound, run: (state) => state.seek(1) },
  { name: 'Previous match', group: 'Find', keys: 'Shift N', can: hasFound, run: (state) => state.seek(-1) },
  {
    name: 'Show matches only, or all layers',
    group: 'Find',
    keys: '',
    can: hasFound,
    run: (state) => state.showOnlyFound(!state.onlyFound),
  },
  {
    name: 'Clear the search',
    group: 'Find',
    keys: '',
    can: ({ query }) => query !== '',
    run: (state) => state.look(''),
  },
  ...READY_VIEWS.map(({ name, query }): Action => ({
    name: `Find: ${name}`,
    group: 'Find',
    keys: '',
    run: (state: SortState) => state.look(query),
  })),
  {
    name: 'Next layer that nothing decided',
    group: 'Worksheet',
    keys: 'U',
    also: 'undecided default',
    run: (state) => state.seekUndecided(),
  },
  { name: 'Next layer of the group', group: 'Worksheet', keys: 'Alt ↓', run: (state) => state.moveBeside(1) },
  {
    name: 'Previous layer of the group',
    group: 'Worksheet',
    keys: 'Alt ↑',
    run: (state) => state.moveBeside(-1),
  },
  {
    name: 'Fold one level',
    group: 'Worksheet',
    keys: '[',
    also: 'collapse close',
    run: (state) => state.foldLevel(-1),
  },
  {
    name: 'Unfold one level',
    group: 'Worksheet',
    keys: ']',
    also: 'expand open',
    run: (state) => state.foldLevel(1),
  },
  { name: 'Select all layers', group: 'Worksheet', keys: 'Ctrl A', run: (state) => state.selectAll() },
  {
    name: 'Fit the screen',
    group: 'Mockup',
    keys: 'W',
    also: 'zoom whole',
    run: (state) => state.askZoom('whole'),
  },
  {
    name: 'Zoom to 100 %',
    group: 'Mockup',
    keys: '1',
    also: 'zoom actual 1:1',
    run: (state) => state.askZoom('actual'),
  },
  {
    name: 'Zoom to the selection',
    group: 'Mockup',
    keys: 'Z',
    also: 'large',
    can: hasSelection,
    run: (state) => state.askZoom('chosen'),
  },
  {
    name: 'Show the built page, or the mockup again',
    group: 'Mockup',
    keys: 'L',
    also: 'live preview result',
    run: (state) => state.show(state.shown === 'page' ? 'screen' : 'page'),
  },
  { name: 'Show pictures only', group: 'Mockup', keys: '', run: (state) => state.show('pictures') },
  { name: 'Show hidden layers too', group: 'Mockup', keys: '', run: (state) => state.show('hidden') },
  {
    name: 'Show what lies past the edge',
    group: 'Mockup',
    keys: '',
    also: 'overflow',
    run: (state) => state.show('all'),
  },
  {
    name: 'Show the next theme, or as drawn',
    group: 'Mockup',
    keys: 'Y',
    can: ({ result }) => (result?.themes ?? null) !== null,
    run: (state) => state.nextAppearance(),
  },
  {
    name: 'Download the SVG with its tags, for the drawing program',
    group: 'More',
    keys: '',
    also: 'export save take away',
    can: ({ opened }) => opened.mockup.format === 'svg',
    run: ({ opened }) => window.location.assign(`/api/mockups/${opened.id}/tagged`),
  },
  {
    name: 'Summary of this screen',
    group: 'More',
    keys: 'F',
    also: 'figures chart count',
    run: (state) => state.open('summary'),
  },
  {
    name: 'Your name, for those who work beside you',
    group: 'More',
    keys: '',
    also: 'who',
    run: (state) => state.open('who'),
  },
  {
    name: 'Undo',
    group: 'More',
    keys: 'Ctrl Z',
    also: 'back',
    can: ({ canUndo }) => canUndo,
    run: (state) => state.undo(),
  },
  {
    name: 'Redo',
    group: 'More',
    keys: 'Ctrl Shift Z',
    can: ({ canRedo }) => canRedo,
    run: (state) => state.redo(),
  },
];

/** The actions of the selection, for its bar and the context menu. */
export const MAIN_ACTIONS = ACTIONS.flatMap((action) =>
  action.short === undefined ? [] : [{ ...action, short: action.short }],
);

export function isPossible(action: Action, state: SortState): boolean {
  return action.can?.(state) ?? true;
}
