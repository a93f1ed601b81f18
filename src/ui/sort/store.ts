import { createStore, type StoreApi } from 'zustand';
import type { LayerKey } from '../../core/mockup/layer';
import type { Mockup, Screen } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import { applyChanges, type FacetValue } from '../../core/sort/change';
import { findLayers, parseQuery } from '../../core/sort/find/query';
import { settleMockup } from '../../core/sort/settle';
import type { Facet, Tag, Tags } from '../../core/sort/tag';
import type { Edited, Wish } from '../../server/useCases/editTags';
import type { Followed } from '../../server/useCases/followEdits';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { postJson, request, RequestError, sentence } from '../shared/request';
import type { Settled } from './conversion.worker';
import { ancestorsOf, foldedAtFirst, screenOf, visibleRows, type Row } from './rows';

export const COLUMNS = ['layer', 'outcome', 'role', 'classes', 'outputName', 'hidden', 'reason'] as const;
export type Column = (typeof COLUMNS)[number];
/** The facets that have a column of their own. */
export type CellFacet = Exclude<Column, 'layer' | 'reason'>;

export interface SortState {
  readonly opened: OpenedMockup;
  /** The mockup as its tags arrange it. */
  readonly mockup: Mockup;
  /** The screen that worksheet and mockup show. */
  readonly screen: Screen;
  readonly tags: Tags;
  readonly settled: Settled | null;
  readonly arrangement: Arrangement;
  readonly folded: ReadonlySet<LayerKey>;
  readonly rows: readonly Row[];
  readonly cursor: LayerKey | null;
  readonly column: Column;
  /** Where an extended selection began. */
  readonly anchor: LayerKey | null;
  readonly selection: ReadonlySet<LayerKey>;
  readonly hovered: LayerKey | null;
  /** What is looked for, and what was found on the screen, in drawing order. */
  readonly query: string;
  readonly queryProblem: string | null;
  readonly found: readonly LayerKey[];
  /** Whether the worksheet shows only what was found. */
  readonly onlyFound: boolean;
  /** The tags that were copied last. */
  readonly copied: Tag | null;
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  /** Edits on their way to the server. */
  readonly pending: number;
  /** True while the server does not answer; edits wait until it does. */
  readonly waiting: boolean;
  /** The newest edit of anyone that is counted in. */
  readonly lastEdit: string;
  readonly problem: string | null;
  /** The dialog that is open. */
  readonly dialog: 'actions' | 'names' | null;

  readonly settle: (settled: Settled) => void;
  readonly arrangeBy: (arrangement: Arrangement) => void;
  readonly moveTo: (key: LayerKey, column: Column, extend: boolean) => void;
  readonly toggleSelected: (key: LayerKey) => void;
  readonly selectAll: () => void;
  readonly reveal: (key: LayerKey) => void;
  readonly showScreen: (key: string) => void;
  readonly toggleFold: (key: LayerKey) => void;
  readonly hover: (key: LayerKey | null) => void;
  readonly setFacet: (facet: Facet, value: FacetValue | null) => void;
  /** Sets a facet of several layers as one edit, each to a value of its own. */
  readonly setEach: (facet: Facet, values: ReadonlyMap<LayerKey, FacetValue>) => void;
  readonly open: (dialog: SortState['dialog']) => void;
  readonly look: (query: string) => void;
  readonly showOnlyFound: (only: boolean) => void;
  /** Goes to the next layer that was found, or to the one before. */
  readonly seek: (by: 1 | -1) => void;
  readonly copyTags: () => void;
  /** Puts the copied tags on all that is chosen. */
  readonly pasteTags: () => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Takes in what other tabs and people edited. */
  readonly follow: () => Promise<void>;
  readonly dismiss: () => void;
}

export type SortStore = StoreApi<SortState>;

/** The state of the Sort step for one mockup. Edits show at once and are saved one after the other. */
export function createSortStore(opened: OpenedMockup): SortStore {
  const tags = new Map<LayerKey, Tag>(Object.entries(opened.tags));
  const mockup = settleMockup(opened.mockup, tags);
  const folded = foldedAtFirst(mockup);
  const screen = screenOf(mockup, '');
  const rows = visibleRows(screen, folded);
  const first = rows[0]?.layer.key ?? null;
  let saving: Promise<void> = Promise.resolve();

  return createStore<SortState>((set, get) => {
    /** Screens and regions are tags too: where they change, the mockup is arranged anew. */
    const retag = (change: (state: SortState) => Tags) =>
      set((state) => {
        const next = change(state);
        if (arrangementMark(next) === arrangementMark(state.tags)) return { tags: next };
        const arranged = settleMockup(opened.mockup, next);
        const shown = screenOf(arranged, state.cursor ?? state.screen.key);
        return { tags: next, mockup: arranged, screen: shown, rows: rowsOf({ ...state, screen: shown }) };
      });
    const send = (work: () => Promise<Edited>) => {
      set((state) => ({ pending: state.pending + 1 }));
      saving = saving.then(async () => {
        try {
          const { changes, canUndo, canRedo } = await insistently(work, () => set({ waiting: true }));
          retag((state) => applyChanges(state.tags, changes));
          set({ canUndo, canRedo, waiting: false });
        } catch (error) {
          set({ problem: sentence(error), waiting: false });
        }
        set((state) => ({ pending: state.pending - 1 }));
      });
    };
    const address = `/api/mockups/${opened.id}`;
    const wish = (wishes: readonly Wish[]) => {
      if (wishes.length === 0) return;
      set(({ settled }) => ({ settled: settled && foresee(settled, wishes) }));
      retag(({ tags: now }) =>
        applyChanges(
          now,
          wishes.map(({ layer, facet, value }) => ({ layer, facet, after: value as FacetValue | null })),
        ),
      );
      send(() => postJson<Edited>(`${address}/edits`, { wishes }));
    };
    /** Looks anew: what is found changes with the query, the decisions and the screen. */
    const refind = (change: Partial<SortState>) =>
      set((state) => {
        const next = { ...state, ...change };
        const { found, problem } = findIn(next);
        return { ...change, found, queryProblem: problem, rows: rowsOf({ ...next, found }) };
      });
    const step = (kind: 'undo' | 'redo') => send(() => postJson<Edited>(`${address}/${kind}`, {}));

    return {
      opened,
      mockup,
      screen,
      tags,
      settled: null,
      arrangement: 'nested',
      folded,
      rows,
      cursor: first,
      column: 'layer',
      anchor: first,
      selection: new Set(first === null ? [] : [first]),
      hovered: null,
      query: '',
      queryProblem: null,
      found: [],
      onlyFound: false,
      copied: null,
      canUndo: opened.canUndo,
      canRedo: opened.canRedo,
      pending: 0,
      waiting: false,
      lastEdit: opened.lastEdit,
      problem: null,
      dialog: null,

      settle: (settled) => refind({ settled }),
      arrangeBy: (arrangement) => set({ arrangement }),
      moveTo(key, column, extend) {
        const { anchor, rows: shown } = get();
        if (!extend || anchor === null) {
          set({ cursor: key, column, anchor: key, selection: new Set([key]) });
          return;
        }
        const keys = shown.map((row) => row.layer.key);
        const [from, to] = [keys.indexOf(anchor), keys.indexOf(key)].sort((one, other) => one - other);
        set({ cursor: key, column, selection: new Set(keys.slice(from, (to ?? 0) + 1)) });
      },
      toggleSelected: (key) =>
        set(({ selection }) => {
          const next = new Set(selection);
          if (!next.delete(key)) next.add(key);
          return { selection: next, cursor: key, anchor: key };
        }),
      selectAll: () => set((state) => ({ selection: new Set(state.rows.map((row) => row.layer.key)) })),
      reveal(key) {
        const open = new Set(get().folded);
        const shown = screenOf(get().mockup, key);
        for (const ancestor of ancestorsOf(shown, key)) open.delete(ancestor);
        set({
          screen: shown,
          folded: open,
          rows: rowsOf({ ...get(), screen: shown, folded: open }),
          cursor: key,
          anchor: key,
          selection: new Set([key]),
        });
      },
      showScreen(key) {
        const shown = screenOf(get().mockup, key);
        refind({ screen: shown });
        const at = get().rows[0]?.layer.key ?? null;
        set({
          cursor: at,
          anchor: at,
          selection: new Set(at === null ? [] : [at]),
        });
      },
      toggleFold: (key) =>
        set((state) => {
          const next = new Set(state.folded);
          if (!next.delete(key)) next.add(key);
          return { folded: next, rows: rowsOf({ ...state, folded: next }) };
        }),
      hover: (key) => {
        if (get().hovered !== key) set({ hovered: key });
      },
      setFacet: (facet, value) => wish([...get().selection].map((layer): Wish => ({ layer, facet, value }))),
      setEach: (facet, values) => wish([...values].map(([layer, value]): Wish => ({ layer, facet, value }))),
      open: (dialog) => set({ dialog }),
      look: (query) => refind({ query }),
      showOnlyFound: (onlyFound) => refind({ onlyFound }),
      seek(by) {
        const { found, cursor } = get();
        const at = found.indexOf(cursor ?? '');
        const next = found[(at + by + found.length) % Math.max(1, found.length)] ?? found[0];
        if (next !== undefined) get().reveal(next);
      },
      copyTags() {
        const { cursor, tags: now } = get();
        if (cursor !== null) set({ copied: now.get(cursor) ?? {} });
      },
      pasteTags() {
        const { copied, selection } = get();
        if (!copied) return;
        wish(
          [...selection].flatMap((layer) =>
            COPIED.map((facet): Wish => ({ layer, facet, value: copied[facet] ?? null })),
          ),
        );
      },
      undo: () => step('undo'),
      redo: () => step('redo'),
      async follow() {
        const { lastEdit: after } = get();
        const news = await request<Followed>(`${address}/edits?after=${after}`).catch(() => null);
        // One's own edits on their way are newer than what the server said.
        if (!news || get().pending > 0 || news.lastEdit === get().lastEdit) return;
        // What was edited here comes back too, and is no news.
        const others = news.changes.filter(
          ({ layer, facet, after: value }) => !isSo(get().tags, layer, facet, value),
        );
        if (others.length > 0) retag((state) => applyChanges(state.tags, news.changes));
        set({ lastEdit: news.lastEdit, canUndo: news.canUndo, canRedo: news.canRedo });
      },
      dismiss: () => set({ problem: null }),
    };
  });
}

/** What the worker will decide, as far as it is plain, so that an edit shows in the same moment. */
function foresee(settled: Settled, wishes: readonly Wish[]): Settled {
  const decisions = new Map(settled.decisions);
  for (const { layer, facet, value } of wishes) {
    const decision = decisions.get(layer);
    if (!decision || value === null || !FORESEEN.has(facet)) continue;
    const reason = facet === 'outcome' ? `${String(value)}: you said so` : decision.reason;
    decisions.set(layer, { ...decision, [facet]: value, reason });
  }
  return { ...settled, decisions };
}

const FORESEEN: ReadonlySet<Facet> = new Set(['outcome', 'role', 'classes', 'outputName', 'hidden']);

function isSo(tags: Tags, layer: LayerKey, facet: Facet, value: FacetValue | null): boolean {
  return JSON.stringify(tags.get(layer)?.[facet] ?? null) === JSON.stringify(value);
}

const RETRY_MS = 1000;

/** Does the work again and again while the server cannot be reached. */
async function insistently<T>(work: () => Promise<T>, onFailure: () => void): Promise<T> {
  for (;;) {
    try {
      return await work();
    } catch (error) {
      if (!(error instanceof RequestError) || error.status !== 0) throw error;
      onFailure();
      await new Promise((resolve) => setTimeout(resolve, RETRY_MS));
    }
  }
}

/** The facets that are put on other layers; names, slots and screens are each layer's own. */
const COPIED = ['outcome', 'role', 'classes', 'hidden'] as const satisfies readonly Facet[];

type Shown = Pick<SortState, 'screen' | 'folded' | 'query' | 'found' | 'onlyFound'>;

function rowsOf({ screen, folded, query, found, onlyFound }: Shown): readonly Row[] {
  return visibleRows(screen, folded, onlyFound && query.trim() !== '' ? found : null);
}

function findIn({ query, screen, settled, tags, opened }: SortState) {
  if (query.trim() === '' || !settled) return { found: [], problem: null };
  const { test, problem } = parseQuery(query);
  if (!test) return { found: [], problem };
  const findings = new Map<LayerKey, string[]>();
  for (const { layer, code } of opened.findings)
    if (layer !== null) findings.set(layer, [...(findings.get(layer) ?? []), code]);
  const { decisions } = settled;
  return {
    found: findLayers(screen.root, test, { decisions, findings, isTagged: (key) => tags.has(key) }),
    problem,
  };
}

/** What of the tags arranges the mockup itself. */
function arrangementMark(tags: Tags): string {
  return JSON.stringify(
    [...tags].flatMap(([key, { screen, regions }]) =>
      screen === undefined && !regions ? [] : [[key, screen, regions]],
    ),
  );
}
