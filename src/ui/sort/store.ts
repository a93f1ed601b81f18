import { createStore, type StoreApi } from 'zustand';
import type { Finding } from '../../core/findings/finding';
import type { Box } from '../../core/mockup/box';
import type { Layer, LayerId } from '../../core/mockup/layer';
import { walk } from '../../core/mockup/walk';
import type { Mockup, Screen } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/frame';
import type { DrawingKind } from '../../core/pictures/drawings';
import { applyChanges, type Change } from '../../core/sort/change';
import { COPIED_FACETS, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import { findLayers, parseQuery } from '../../core/sort/find/query';
import { structureKey, applyStructuralTags } from '../../core/sort/structuralTags';
import type { Tag, Tags } from '../../core/sort/tag';
import type { Editor } from '../../server/db/tables/edits';
import type { Conflict, Edited, TagEdit } from '../../server/useCases/editTags';
import type { Followed } from '../../server/useCases/followEdits';
import type { KeptViews } from '../../server/useCases/views';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { postJson, request, RequestError, sentence } from '../shared/request';
import type { SortResult, ShownCode } from './conversion.worker';
import type { ZoomCommand } from './mockup/zoom';
import { ownName } from './ownName';
import { ancestorsOf, foldedAtFirst, screenOf, visibleRows, type Row } from './rows';

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

export interface SortState {
  readonly opened: OpenedMockup;
  /** The mockup after structural tags. */
  readonly mockup: Mockup;
  /** The screen in worksheet and mockup. */
  readonly screen: Screen;
  readonly tags: Tags;
  /** The findings of reading and of the decisions, by layer. */
  readonly findings: ReadonlyMap<LayerId, readonly Finding[]>;
  readonly result: SortResult | null;
  /** The code of the layer under the cursor, and the page where it is shown. */
  readonly code: ShownCode;
  /** Gives the visible area of that page, px of the screen; null while it is not shown. */
  readonly visibleArea: (() => Box) | null;
  readonly arrangement: Arrangement;
  readonly folded: ReadonlySet<LayerId>;
  readonly rows: readonly Row[];
  readonly cursor: LayerId | null;
  readonly column: Column;
  /** The start of an extended selection. */
  readonly anchor: LayerId | null;
  readonly selection: ReadonlySet<LayerId>;
  readonly hovered: LayerId | null;
  /** The query, and the layers found on the screen, in drawing order. */
  readonly query: string;
  readonly queryProblem: string | null;
  readonly found: readonly LayerId[];
  /** Saved queries of this mockup. */
  readonly views: readonly string[];
  /** Whether the worksheet shows only the results. */
  readonly onlyFound: boolean;
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
  /** The content of the view beside the worksheet. */
  readonly shown: Shown;
  /** The looks: as drawn, of the samples (`all`), or of a theme (`.fog`). */
  readonly appearance: Appearance;
  /** The last command to the view of the mockup; a new object each time. */
  readonly zoomCommand: { readonly kind: ZoomCommand } | null;
  /** The open dialog. */
  readonly dialog: 'actions' | 'names' | 'summary' | 'who' | null;

  readonly settle: (result: SortResult) => void;
  /** Takes the code of the layer under the cursor and of the page. */
  readonly take: (code: ShownCode) => void;
  /** Sets the function that gives the visible area of the live page. */
  readonly setVisibleArea: (visibleArea: SortState['visibleArea']) => void;
  readonly arrangeBy: (arrangement: Arrangement) => void;
  readonly moveTo: (key: LayerId, column: Column, extend: boolean) => void;
  /** Moves to the next or previous sibling. */
  readonly moveBeside: (by: 1 | -1) => void;
  readonly toggleSelected: (key: LayerId) => void;
  readonly selectAll: () => void;
  readonly reveal: (key: LayerId) => void;
  readonly showScreen: (key: string) => void;
  readonly toggleFold: (key: LayerId) => void;
  readonly hover: (key: LayerId | null) => void;
  readonly setFacet: (facet: Facet, value: FacetValue | null) => void;
  /** Sets a facet of several layers as one edit, each to its own value. */
  readonly setEach: (facet: Facet, values: ReadonlyMap<LayerId, FacetValue>) => void;
  /** Selects these layers, or adds them to the selection. */
  readonly choose: (keys: readonly LayerId[], more: boolean) => void;
  readonly show: (shown: Shown) => void;
  readonly setAppearance: (appearance: Appearance) => void;
  /** Steps through the looks: as drawn, the samples, the themes. */
  readonly nextAppearance: () => void;
  readonly askZoom: (kind: ZoomCommand) => void;
  readonly open: (dialog: SortState['dialog']) => void;
  readonly look: (query: string) => void;
  readonly showOnlyFound: (only: boolean) => void;
  /** Saves the query as a view, or drops a saved view. */
  readonly keepView: (isKept: boolean) => Promise<void>;
  /** Moves to the next or previous result. */
  readonly seek: (by: 1 | -1) => void;
  readonly copyTags: () => void;
  /** Pastes the copied tags on the selection. */
  readonly pasteTags: () => void;
  /** Merges the selection into one picture. */
  readonly merge: () => void;
  /** Splits pictures: merges, and groups. */
  readonly takeApart: () => void;
  /** Moves to the next layer that neither a rule nor a person decided. */
  readonly seekUndecided: () => void;
  /** Folds the innermost open groups, or opens all visible folded ones. */
  readonly foldLevel: (by: 1 | -1) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Takes the edits of other windows. */
  readonly follow: () => Promise<void>;
  /** Resolves a conflict: sends one's own value again, or keeps the other's. */
  readonly resolve: (conflict: Conflict, choice: 'mine' | 'theirs') => Promise<void>;
  readonly dismiss: () => void;
}

export type SortStore = StoreApi<SortState>;

type PendingChange = Pick<Change, 'layer' | 'facet' | 'after'>;

/** The state of the Sort step for one mockup. Edits show at once and are saved one after the other. */
export function createSortStore(opened: OpenedMockup): SortStore {
  const tags = new Map<LayerId, Tag>(Object.entries(opened.tags));
  const mockup = applyStructuralTags(opened.mockup, tags);
  const folded = foldedAtFirst(mockup);
  const screen = screenOf(mockup, '');
  const rows = visibleRows(screen, folded);
  const first = rows[0]?.layer.id ?? null;
  let saving: Promise<void> = Promise.resolve();

  return createStore<SortState>((set, get) => {
    /** Screens and regions are tags too: a change of these arranges the mockup anew. */
    const retag = (change: (state: SortState) => Tags) =>
      set((state) => {
        const next = change(state);
        if (next === state.tags) return {};
        if (structureKey(next) === structureKey(state.tags)) return { tags: next };
        const arranged = applyStructuralTags(opened.mockup, next);
        const shown = screenOf(arranged, state.cursor ?? state.screen.id);
        return { tags: next, mockup: arranged, screen: shown, rows: rowsOf({ ...state, screen: shown }) };
      });
    /** The changes of each unconfirmed edit, and the number of edits sent. */
    const unconfirmed: (readonly PendingChange[])[] = [];
    let sent = 0;
    const send = (work: () => Promise<Edited>, said: readonly PendingChange[] = []) => {
      unconfirmed.push(said);
      sent += 1;
      set((state) => ({ pending: state.pending + 1 }));
      saving = saving.then(async () => {
        try {
          const { changes, conflicts, canUndo, canRedo } = await retryWhileOffline(work, () =>
            set({ waiting: true }),
          );
          // A rejected edit shows the other person's value until a choice is made.
          const theirs = conflicts.map(({ layer, facet, theirs: after }) => ({ layer, facet, after }));
          // Edits made since are newer than this response.
          const since = unconfirmed.slice(1).flat();
          retag((state) => applyChanges(state.tags, [...changes, ...theirs, ...since]));
          set((state) => ({
            canUndo,
            canRedo,
            waiting: false,
            conflicts: [...state.conflicts.filter((old) => !conflicts.some(isAbout(old))), ...conflicts],
          }));
        } catch (error) {
          set({ problem: sentence(error), waiting: false });
        }
        unconfirmed.shift();
        set((state) => ({ pending: state.pending - 1 }));
      });
    };
    const address = `/api/mockups/${opened.id}`;
    const edit = (edits: readonly TagEdit[]) => {
      if (edits.length === 0) return;
      const said = edits.map(({ layer, facet, value }) => ({ layer, facet, after: value ?? null }));
      // The worker can start on them meanwhile.
      retag(({ tags: now }) => applyChanges(now, said));
      set(({ result }) => ({ result: result && optimisticResult(result, edits) }));
      // The state when the edit was made, not when it could be sent.
      const { lastEdit: after } = get();
      const shown = new Promise((resolve) => setTimeout(resolve, SENT_AFTER_MS));
      const save = async () => {
        await shown;
        return postJson<Edited>(`${address}/edits`, { edits, after, editor: ownEditor() });
      };
      send(save, said);
    };
    /** Searches again: results depend on the query, the decisions and the screen. */
    const refind = (change: Partial<SortState>) =>
      set((state) => {
        const next = { ...state, ...change };
        const { found, problem } = findIn(next);
        return { ...change, found, queryProblem: problem, rows: rowsOf({ ...next, found }) };
      });
    const step = (kind: 'undo' | 'redo') =>
      send(() => postJson<Edited>(`${address}/${kind}`, { editor: ownEditor() }));

    return {
      opened,
      mockup,
      screen,
      tags,
      findings: findingsByLayer(opened.findings),
      result: null,
      code: { code: null, explanations: [], page: null },
      visibleArea: null,
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
      found: NOTHING,
      views: opened.views,
      onlyFound: false,
      copied: null,
      canUndo: opened.canUndo,
      canRedo: opened.canRedo,
      pending: 0,
      waiting: false,
      lastEdit: opened.lastEdit,
      problem: null,
      conflicts: [],
      shown: 'screen',
      appearance: 'drawn',
      zoomCommand: null,
      dialog: null,

      take: (code) => set({ code }),
      setVisibleArea: (visibleArea) => set({ visibleArea }),
      settle: (result) =>
        refind({ result, findings: findingsByLayer([...opened.findings, ...result.findings]) }),
      arrangeBy: (arrangement) => set({ arrangement }),
      moveTo(key, column, extend) {
        const { anchor, rows: shown } = get();
        if (!extend || anchor === null) {
          set({ cursor: key, column, anchor: key, selection: new Set([key]) });
          return;
        }
        const keys = shown.map((row) => row.layer.id);
        const [from, to] = [keys.indexOf(anchor), keys.indexOf(key)].sort((one, other) => one - other);
        set({ cursor: key, column, selection: new Set(keys.slice(from, (to ?? 0) + 1)) });
      },
      moveBeside(by) {
        const { rows: shown, cursor, column } = get();
        const at = shown.findIndex((row) => row.layer.id === cursor);
        const siblings = shown.filter((row) => row.parent === shown[at]?.parent);
        const next = siblings[siblings.findIndex((row) => row.layer.id === cursor) + by];
        if (next) get().moveTo(next.layer.id, column, false);
      },
      toggleSelected: (key) =>
        set(({ selection }) => {
          const next = new Set(selection);
          if (!next.delete(key)) next.add(key);
          return { selection: next, cursor: key, anchor: key };
        }),
      selectAll: () => set((state) => ({ selection: new Set(state.rows.map((row) => row.layer.id)) })),
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
        const at = get().rows[0]?.layer.id ?? null;
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
      setFacet: (facet, value) =>
        edit([...get().selection].map((layer): TagEdit => ({ layer, facet, value }))),
      setEach: (facet, values) =>
        edit([...values].map(([layer, value]): TagEdit => ({ layer, facet, value }))),
      choose(keys, more) {
        const before = more ? [...get().selection] : [];
        const first = keys[0];
        if (first !== undefined) get().reveal(first);
        set({ selection: new Set([...before, ...keys]) });
      },
      show: (shown) => set({ shown }),
      setAppearance: (appearance) => set({ appearance }),
      nextAppearance: () =>
        set(({ appearance, result }) => {
          const all = appearanceChoices(result?.themes ?? null);
          return { appearance: all[(all.indexOf(appearance) + 1) % all.length] ?? 'drawn' };
        }),
      askZoom: (kind) => set({ zoomCommand: { kind } }),
      open: (dialog) => set({ dialog }),
      look: (query) => refind({ query }),
      async keepView(isKept) {
        const query = get().query.trim();
        try {
          const { views } = await request<KeptViews>(`${address}/views`, {
            method: isKept ? 'POST' : 'DELETE',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify({ query }),
          });
          set({ views });
        } catch (error) {
          set({ problem: sentence(error) });
        }
      },
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
        edit(
          [...selection].flatMap((layer) =>
            COPIED_FACETS.map((facet): TagEdit => ({ layer, facet, value: copied[facet] ?? null })),
          ),
        );
      },
      merge() {
        const { selection, result, tags: now, screen: shown } = get();
        const keys = outermost(shown, selection);
        const [first] = keys;
        if (first === undefined || !result) return;
        if (keys.length === 1) get().setFacet('outcome', 'picture');
        else {
          const name = freeMergeName(result.decisions.get(first)?.outputName ?? 'picture', now);
          get().setEach('merge', new Map(keys.map((key) => [key, name])));
        }
      },
      takeApart() {
        const { selection, result, tags: now } = get();
        const names = new Set([...selection].flatMap((key) => now.get(key)?.merge ?? []));
        const merged = [...now].filter(([, { merge }]) => merge !== undefined && names.has(merge));
        const groups = [...selection].filter((key) => {
          const decision = result?.decisions.get(key);
          return decision?.outcome === 'picture' && !decision.merge && decision.within === null;
        });
        edit([
          ...merged.map(([layer]): TagEdit => ({ layer, facet: 'merge', value: null })),
          ...groups.map((layer): TagEdit => ({ layer, facet: 'outcome', value: 'element' })),
        ]);
      },
      seekUndecided() {
        const { screen: shown, cursor, result } = get();
        const all = walk(shown.root).map(({ id }) => id);
        const at = all.indexOf(cursor ?? '') + 1;
        const next = [...all.slice(at), ...all.slice(0, at)].find(
          (key) => result?.decisions.get(key)?.origin === 'default',
        );
        if (next !== undefined) get().reveal(next);
      },
      foldLevel: (by) =>
        set((state) => {
          const open = state.rows.filter((row) => row.hasChildren && !state.folded.has(row.layer.id));
          const deepest = Math.max(0, ...open.map(({ level }) => level));
          const next = new Set(state.folded);
          for (const { layer, level, hasChildren } of state.rows) {
            if (by < 0 && hasChildren && level === deepest) next.add(layer.id);
            else if (by > 0) next.delete(layer.id);
          }
          return { folded: next, rows: rowsOf({ ...state, folded: next }) };
        }),
      undo: () => step('undo'),
      redo: () => step('redo'),
      async follow() {
        const [{ lastEdit: after }, before] = [get(), sent];
        const news = await request<Followed>(`${address}/edits?after=${after}`).catch(() => null);
        // One's own pending edits are newer than the server's state.
        if (!news || get().pending > 0 || sent !== before || news.lastEdit === get().lastEdit) return;
        // One's own edits come back too, without a difference.
        retag((state) => applyChanges(state.tags, news.changes));
        set({ lastEdit: news.lastEdit, canUndo: news.canUndo, canRedo: news.canRedo });
      },
      async resolve(conflict, choice) {
        // The other value must be known first, or it would conflict again.
        await get().follow();
        set((state) => ({ conflicts: state.conflicts.filter((one) => one !== conflict) }));
        const { layer, facet, mine } = conflict;
        if (choice === 'mine') edit([{ layer, facet, value: mine as TagEdit['value'] }]);
      },
      dismiss: () => set({ problem: null }),
    };
  });
}

/** The looks of a mockup; without samples only those as drawn. */
export function appearanceChoices(themes: readonly string[] | null): readonly Appearance[] {
  return themes ? ['drawn', 'all', ...themes.map((theme): Appearance => `.${theme}`)] : ['drawn'];
}

/** The selected layers inside no other selected one, in drawing order. */
function outermost(screen: Screen, selection: ReadonlySet<LayerId>): readonly LayerId[] {
  const keys: LayerId[] = [];
  const visit = (layer: Layer) => {
    if (selection.has(layer.id)) keys.push(layer.id);
    else if (layer.kind === 'group') layer.layers.forEach(visit);
  };
  screen.root.layers.forEach(visit);
  return keys;
}

function freeMergeName(wanted: string, tags: Tags): string {
  const taken = new Set([...tags.values()].flatMap(({ merge }) => merge ?? []));
  let name = `${wanted}-merged`;
  for (let count = 2; taken.has(name); count++) name = `${wanted}-merged-${count}`;
  return name;
}

/** The id of this window in its edits. */
const WINDOW = crypto.randomUUID();

function ownEditor(): Editor {
  return { id: WINDOW, name: ownName() };
}

function isAbout({ layer, facet }: Conflict): (other: Conflict) => boolean {
  return (other) => other.layer === layer && other.facet === facet;
}

/** Predicts the plain results of an edit, so that it shows in the same moment. */
function optimisticResult(result: SortResult, edits: readonly TagEdit[]): SortResult {
  const decisions = new Map(result.decisions);
  for (const { layer, facet, value } of edits) {
    const decision = decisions.get(layer);
    if (!decision || value === null || !PREDICTABLE.has(facet)) continue;
    const reason = facet === 'outcome' ? `${String(value)}: you said so` : decision.reason;
    decisions.set(layer, { ...decision, [facet]: value, reason });
  }
  return { ...result, decisions };
}

const PREDICTABLE: ReadonlySet<Facet> = new Set(['outcome', 'role', 'classes', 'outputName', 'hidden']);

const RETRY_MS = 1000;

/** An edit is shown before it is sent: a server on the same machine would slow the page. */
const SENT_AFTER_MS = 200;

/** Retries the work until the server is reachable. */
async function retryWhileOffline<T>(work: () => Promise<T>, onFailure: () => void): Promise<T> {
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

type Listed = Pick<SortState, 'screen' | 'folded' | 'query' | 'found' | 'onlyFound'>;

function rowsOf({ screen, folded, query, found, onlyFound }: Listed): readonly Row[] {
  return visibleRows(screen, folded, onlyFound && query.trim() !== '' ? found : null);
}

function findingsByLayer(all: readonly Finding[]): ReadonlyMap<LayerId, readonly Finding[]> {
  const findings = new Map<LayerId, Finding[]>();
  for (const finding of all) {
    if (finding.layer === null) continue;
    const known = findings.get(finding.layer);
    if (known) known.push(finding);
    else findings.set(finding.layer, [finding]);
  }
  return findings;
}

/** A constant, so that nothing re-renders for it. */
const NOTHING: readonly LayerId[] = [];

function findIn({ query, screen, result, tags, findings }: SortState) {
  if (query.trim() === '' || !result) return { found: NOTHING, problem: null };
  const { test, problem } = parseQuery(query);
  if (!test) return { found: NOTHING, problem };
  const { decisions } = result;
  return {
    found: findLayers(screen.root, test, { decisions, findings, isTagged: (key) => tags.has(key) }),
    problem,
  };
}
