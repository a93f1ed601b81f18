import type { StoreApi } from 'zustand';
import type { Finding } from '../../../core/findings/finding';
import type { Box } from '../../../core/mockup/box';
import type { LayerId } from '../../../core/mockup/layer';
import type { Mockup, Screen } from '../../../core/mockup/mockup';
import type { Arrangement } from '../../../core/page/frame';
import type { DrawingKind } from '../../../core/pictures/drawings';
import type { Facet, FacetValue } from '../../../core/sort/facets/facets';
import type { Tag, Tags } from '../../../core/sort/tag';
import type { Conflict } from '../../../server/useCases/editTags';
import type { OpenedMockup } from '../../../server/useCases/openMockup';
import type { ShownCode, SortResult } from '../conversion.worker';
import type { ZoomCommand } from '../mockup/zoom';
import type { Row } from '../rows';

export const COLUMNS = [
  'layer',
  'outcome',
  'role',
  'classes',
  'state',
  'outputName',
  'hidden',
  'findings',
  'reason',
] as const;
export type Column = (typeof COLUMNS)[number];
/** The facets with a column of their own. */
export type CellFacet = Exclude<Column, 'layer' | 'findings' | 'reason'>;

/** The screen as drawn, its page, or a drawing of it. */
export type Shown = 'screen' | 'page' | DrawingKind;
/** The looks of the mockup; see `SortState.appearance`. */
export type Appearance = 'drawn' | 'all' | `.${string}`;

/** A sentence on what an act did, and whether undoing it makes sense. */
export interface Notice {
  readonly text: string;
  readonly canUndo: boolean;
}

/** The tags, and the edits on their way to the server. */
export interface TagSlice {
  readonly tags: Tags;
  /** The copied tags. */
  readonly copied: Tag | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Edits not yet confirmed by the server. */
  readonly pending: number;
  /** True while the server is unreachable; edits wait for it. */
  readonly waiting: boolean;
  /** The newest known edit of all windows. */
  readonly lastEdit: string;
  readonly problem: string | null;
  /** Conflicting edits; each waits for a choice. */
  readonly conflicts: readonly Conflict[];
  readonly setFacet: (facet: Facet, value: FacetValue | null) => void;
  /** Removes a facet from layers as one edit. */
  readonly clear: (facet: Facet, layers: readonly LayerId[]) => void;
  /** Sets a facet of several layers as one edit, each to its own value. */
  readonly setEach: (facet: Facet, values: ReadonlyMap<LayerId, FacetValue>) => void;
  readonly copyTags: () => void;
  /** Pastes the copied tags on the selection. */
  readonly pasteTags: () => void;
  /** Merges the selection into one picture. */
  readonly merge: () => void;
  /** Splits pictures: merges, and groups. */
  readonly takeApart: () => void;
  /** Removes all tags of the selection that the worksheet edits. */
  readonly clearAll: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Takes the edits of other windows. */
  readonly follow: () => Promise<void>;
  /** Resolves a conflict: sends one's own value again, or keeps the other's. */
  readonly resolve: (conflict: Conflict, choice: 'mine' | 'theirs') => Promise<void>;
  readonly dismiss: () => void;
  /** What the last act did, for people; a new object each time. */
  readonly notice: Notice | null;
}

/** The mockup on the screen, and the rows of the worksheet. */
export interface RowSlice {
  /** The mockup after structural tags. */
  readonly mockup: Mockup;
  /** The screen in worksheet and mockup. */
  readonly screen: Screen;
  readonly folded: ReadonlySet<LayerId>;
  readonly rows: readonly Row[];
  readonly reveal: (key: LayerId) => void;
  readonly showScreen: (key: string) => void;
  readonly toggleFold: (key: LayerId) => void;
  /** Folds the innermost open groups, or opens all visible folded ones. */
  readonly foldLevel: (by: 1 | -1) => void;
}

/** Where the cursor is and what is selected. */
export interface SelectionSlice {
  readonly cursor: LayerId | null;
  readonly column: Column;
  /** The start of an extended selection. */
  readonly anchor: LayerId | null;
  readonly selection: ReadonlySet<LayerId>;
  readonly hovered: LayerId | null;
  readonly moveTo: (key: LayerId, column: Column, extend: boolean) => void;
  /** Moves to the next or previous sibling. */
  readonly moveBeside: (by: 1 | -1) => void;
  readonly toggleSelected: (key: LayerId) => void;
  readonly selectAll: () => void;
  /** Selects these layers, or adds them to the selection. */
  readonly choose: (keys: readonly LayerId[], more: boolean) => void;
  readonly hover: (key: LayerId | null) => void;
}

/** What is looked for, and what is found. */
export interface SearchSlice {
  /** The query, and the layers found on the screen, in drawing order. */
  readonly query: string;
  readonly queryProblem: string | null;
  readonly found: readonly LayerId[];
  /** Saved queries of this mockup. */
  readonly views: readonly string[];
  /** Whether the worksheet shows only the results. */
  readonly onlyFound: boolean;
  readonly look: (query: string) => void;
  readonly showOnlyFound: (only: boolean) => void;
  /** Saves the query as a view, or drops a saved view. */
  readonly keepView: (isKept: boolean) => Promise<void>;
  /** Moves to the next or previous result. */
  readonly seek: (by: 1 | -1) => void;
  /** Moves to the next layer that neither a rule nor a person decided. */
  readonly seekUndecided: () => void;
}

/** The results of the conversion. */
export interface ConversionSlice {
  /** The findings of reading and of the decisions, by layer. */
  readonly findings: ReadonlyMap<LayerId, readonly Finding[]>;
  readonly result: SortResult | null;
  /** The code of the layer under the cursor, and the page where it is shown. */
  readonly code: ShownCode;
  /** Gives the visible area of that page, px of the screen; null while it is not shown. */
  readonly visibleArea: (() => Box) | null;
  readonly arrangement: Arrangement;
  readonly settle: (result: SortResult) => void;
  /** Takes the code of the layer under the cursor and of the page. */
  readonly take: (code: ShownCode) => void;
  /** Sets the function that gives the visible area of the live page. */
  readonly setVisibleArea: (visibleArea: SortState['visibleArea']) => void;
  readonly arrangeBy: (arrangement: Arrangement) => void;
}

/** The view beside the worksheet, and the open dialog. */
export interface ViewSlice {
  /** The content of the view beside the worksheet. */
  readonly shown: Shown;
  /** The looks: as drawn, of the samples (`all`), or of a theme (`.fog`). */
  readonly appearance: Appearance;
  /** The last command to the view of the mockup; a new object each time. */
  readonly zoomCommand: { readonly kind: ZoomCommand } | null;
  /** The open dialog. */
  readonly dialog: 'actions' | 'names' | 'summary' | 'who' | null;
  /** The columns of the worksheet in sight, in order. */
  readonly columns: readonly Column[];
  readonly showColumns: (columns: readonly Column[]) => void;
  /** Where the context menu is open, px of the window; null while it is closed. */
  readonly menuAt: { readonly x: number; readonly y: number } | null;
  readonly openMenu: (at: SortState['menuAt']) => void;
  readonly show: (shown: Shown) => void;
  readonly setAppearance: (appearance: Appearance) => void;
  /** Steps through the looks: as drawn, the samples, the themes. */
  readonly nextAppearance: () => void;
  readonly askZoom: (kind: ZoomCommand) => void;
  readonly open: (dialog: SortState['dialog']) => void;
}

/** The state of the Sort step for one mockup. */
/** What goes to the clipboard. */
export interface ClipboardSlice {
  /** Copies the selection as a picture. */
  readonly copyPicture: (format: 'svg' | 'png') => Promise<void>;
}

export type SortState = { readonly opened: OpenedMockup } & TagSlice &
  ClipboardSlice &
  RowSlice &
  SelectionSlice &
  SearchSlice &
  ConversionSlice &
  ViewSlice;

export type SortStore = StoreApi<SortState>;

/** Makes one slice of the store. */
export type MakeSlice<Slice> = (
  set: StoreApi<SortState>['setState'],
  get: StoreApi<SortState>['getState'],
  opened: OpenedMockup,
) => Slice;
