import { createStore, type StoreApi } from 'zustand';
import type { Finding } from '../../core/findings/finding';
import type { Box } from '../../core/mockup/box';
import type { Layer, LayerKey } from '../../core/mockup/layer';
import { walk } from '../../core/mockup/walk';
import type { Mockup, Screen } from '../../core/mockup/mockup';
import type { Arrangement } from '../../core/page/node';
import type { DrawingKind } from '../../core/pictures/drawings';
import { applyChanges, type Change, type FacetValue } from '../../core/sort/change';
import { findLayers, parseQuery } from '../../core/sort/find/query';
import { arrangementMark, settleMockup } from '../../core/sort/settle';
import type { Facet, Tag, Tags } from '../../core/sort/tag';
import type { Editor } from '../../server/db/tables/edits';
import type { Conflict, Edited, Wish } from '../../server/useCases/editTags';
import type { Followed } from '../../server/useCases/followEdits';
import type { KeptViews } from '../../server/useCases/views';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { postJson, request, RequestError, sentence } from '../shared/request';
import type { Settled, ShownCode } from './conversion.worker';
import type { ZoomWish } from './mockup/zoom';
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
/** The facets that have a column of their own. */
export type CellFacet = Exclude<Column, 'layer' | 'findings' | 'reason'>;

/** The screen as it is seen, the page that it gives, or a drawing of it. */
export type Shown = 'screen' | 'page' | DrawingKind;
/** Looks to show it in; see `SortState.worn`. */
export type Worn = 'drawn' | 'all' | `.${string}`;

export interface SortState {
  readonly opened: OpenedMockup;
  /** The mockup as its tags arrange it. */
  readonly mockup: Mockup;
  /** The screen that worksheet and mockup show. */
  readonly screen: Screen;
  readonly tags: Tags;
  /** What was found at reading and by the decisions, by layer. */
  readonly findings: ReadonlyMap<LayerKey, readonly Finding[]>;
  readonly settled: Settled | null;
  /** The code of the layer under the cursor, and the page where it is shown. */
  readonly given: ShownCode;
  /** Tells what is seen of that page, px of the screen; null while it is not shown. */
  readonly seenArea: (() => Box) | null;
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
  /** Queries that people kept for this mockup. */
  readonly views: readonly string[];
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
  /** What someone else set otherwise in the same moment; each waits for a choice. */
  readonly conflicts: readonly Conflict[];
  /** What the mockup beside the worksheet shows. */
  readonly shown: Shown;
  /** The looks it is shown in: as drawn, in those of the samples (`all`), or in a theme (`.fog`). */
  readonly worn: Worn;
  /** What was asked last of the view of the mockup; a new object each time. */
  readonly zoomWish: { readonly kind: ZoomWish } | null;
  /** The dialog that is open. */
  readonly dialog: 'actions' | 'names' | 'summary' | 'who' | null;

  readonly settle: (settled: Settled) => void;
  /** Takes in what the tags give of the layer under the cursor and of the page. */
  readonly take: (given: ShownCode) => void;
  /** Says how to find out what is seen of the live page. */
  readonly seeThrough: (seenArea: SortState['seenArea']) => void;
  readonly arrangeBy: (arrangement: Arrangement) => void;
  readonly moveTo: (key: LayerKey, column: Column, extend: boolean) => void;
  /** Goes to the next or the last sibling. */
  readonly moveBeside: (by: 1 | -1) => void;
  readonly toggleSelected: (key: LayerKey) => void;
  readonly selectAll: () => void;
  readonly reveal: (key: LayerKey) => void;
  readonly showScreen: (key: string) => void;
  readonly toggleFold: (key: LayerKey) => void;
  readonly hover: (key: LayerKey | null) => void;
  readonly setFacet: (facet: Facet, value: FacetValue | null) => void;
  /** Sets a facet of several layers as one edit, each to a value of its own. */
  readonly setEach: (facet: Facet, values: ReadonlyMap<LayerKey, FacetValue>) => void;
  /** Chooses these layers, or adds them to what is chosen. */
  readonly choose: (keys: readonly LayerKey[], more: boolean) => void;
  readonly show: (shown: Shown) => void;
  readonly dressIn: (worn: Worn) => void;
  /** Goes on through as drawn, as the samples, and the themes. */
  readonly dressNext: () => void;
  readonly askZoom: (kind: ZoomWish) => void;
  readonly open: (dialog: SortState['dialog']) => void;
  readonly look: (query: string) => void;
  readonly showOnlyFound: (only: boolean) => void;
  /** Keeps what is looked for as a view, or drops a view that is kept. */
  readonly keepView: (isKept: boolean) => Promise<void>;
  /** Goes to the next layer that was found, or to the one before. */
  readonly seek: (by: 1 | -1) => void;
  readonly copyTags: () => void;
  /** Puts the copied tags on all that is chosen. */
  readonly pasteTags: () => void;
  /** Makes one picture of all that is chosen. */
  readonly merge: () => void;
  /** Takes pictures apart again: those that were made of several layers, and groups. */
  readonly takeApart: () => void;
  /** Goes to the next layer that no rule and no person knew. */
  readonly seekUndecided: () => void;
  /** Folds the innermost groups that are open, or opens all that are seen folded. */
  readonly foldLevel: (by: 1 | -1) => void;
  readonly undo: () => void;
  readonly redo: () => void;
  /** Takes in what other tabs and people edited. */
  readonly follow: () => Promise<void>;
  /** Settles a conflict: one's own word is said again, or the other's stays. */
  readonly resolve: (conflict: Conflict, choice: 'mine' | 'theirs') => Promise<void>;
  readonly dismiss: () => void;
}

export type SortStore = StoreApi<SortState>;

type Said = Pick<Change, 'layer' | 'facet' | 'after'>;

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
        if (next === state.tags) return {};
        if (arrangementMark(next) === arrangementMark(state.tags)) return { tags: next };
        const arranged = settleMockup(opened.mockup, next);
        const shown = screenOf(arranged, state.cursor ?? state.screen.key);
        return { tags: next, mockup: arranged, screen: shown, rows: rowsOf({ ...state, screen: shown }) };
      });
    /** What was wished for in each edit on its way, and how many were sent in all. */
    const onTheirWay: (readonly Said[])[] = [];
    let sent = 0;
    const send = (work: () => Promise<Edited>, said: readonly Said[] = []) => {
      onTheirWay.push(said);
      sent += 1;
      set((state) => ({ pending: state.pending + 1 }));
      saving = saving.then(async () => {
        try {
          const { changes, conflicts, canUndo, canRedo } = await insistently(work, () =>
            set({ waiting: true }),
          );
          // What was not granted shows what the other one said, until a person chooses.
          const theirs = conflicts.map(({ layer, facet, theirs: after }) => ({ layer, facet, after }));
          // What was wished for since is newer than this answer.
          const since = onTheirWay.slice(1).flat();
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
        onTheirWay.shift();
        set((state) => ({ pending: state.pending - 1 }));
      });
    };
    const address = `/api/mockups/${opened.id}`;
    const wish = (wishes: readonly Wish[]) => {
      if (wishes.length === 0) return;
      const said = wishes.map(({ layer, facet, value }) => ({ layer, facet, after: value ?? null }));
      // The worker can begin with it meanwhile.
      retag(({ tags: now }) => applyChanges(now, said));
      set(({ settled }) => ({ settled: settled && foresee(settled, wishes) }));
      // What was known when the wish was made, not when it could be sent.
      const { lastEdit: after } = get();
      const shown = new Promise((resolve) => setTimeout(resolve, SENT_AFTER_MS));
      const save = async () => {
        await shown;
        return postJson<Edited>(`${address}/edits`, { wishes, after, editor: ownEditor() });
      };
      send(save, said);
    };
    /** Looks anew: what is found changes with the query, the decisions and the screen. */
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
      settled: null,
      given: { code: null, page: null },
      seenArea: null,
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
      worn: 'drawn',
      zoomWish: null,
      dialog: null,

      take: (given) => set({ given }),
      seeThrough: (seenArea) => set({ seenArea }),
      settle: (settled) =>
        refind({ settled, findings: findingsByLayer([...opened.findings, ...settled.findings]) }),
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
      moveBeside(by) {
        const { rows: shown, cursor, column } = get();
        const at = shown.findIndex((row) => row.layer.key === cursor);
        const siblings = shown.filter((row) => row.parent === shown[at]?.parent);
        const next = siblings[siblings.findIndex((row) => row.layer.key === cursor) + by];
        if (next) get().moveTo(next.layer.key, column, false);
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
      choose(keys, more) {
        const before = more ? [...get().selection] : [];
        const first = keys[0];
        if (first !== undefined) get().reveal(first);
        set({ selection: new Set([...before, ...keys]) });
      },
      show: (shown) => set({ shown }),
      dressIn: (worn) => set({ worn }),
      dressNext: () =>
        set(({ worn, settled }) => {
          const all = wornChoices(settled?.themes ?? null);
          return { worn: all[(all.indexOf(worn) + 1) % all.length] ?? 'drawn' };
        }),
      askZoom: (kind) => set({ zoomWish: { kind } }),
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
        wish(
          [...selection].flatMap((layer) =>
            COPIED.map((facet): Wish => ({ layer, facet, value: copied[facet] ?? null })),
          ),
        );
      },
      merge() {
        const { selection, settled, tags: now, screen: shown } = get();
        const keys = outermost(shown, selection);
        const [first] = keys;
        if (first === undefined || !settled) return;
        if (keys.length === 1) get().setFacet('outcome', 'picture');
        else {
          const name = freeMergeName(settled.decisions.get(first)?.outputName ?? 'picture', now);
          get().setEach('merge', new Map(keys.map((key) => [key, name])));
        }
      },
      takeApart() {
        const { selection, settled, tags: now } = get();
        const names = new Set([...selection].flatMap((key) => now.get(key)?.merge ?? []));
        const merged = [...now].filter(([, { merge }]) => merge !== undefined && names.has(merge));
        const groups = [...selection].filter((key) => {
          const decision = settled?.decisions.get(key);
          return decision?.outcome === 'picture' && !decision.merge && decision.within === null;
        });
        wish([
          ...merged.map(([layer]): Wish => ({ layer, facet: 'merge', value: null })),
          ...groups.map((layer): Wish => ({ layer, facet: 'outcome', value: 'element' })),
        ]);
      },
      seekUndecided() {
        const { screen: shown, cursor, settled } = get();
        const all = walk(shown.root).map(({ key }) => key);
        const at = all.indexOf(cursor ?? '') + 1;
        const next = [...all.slice(at), ...all.slice(0, at)].find(
          (key) => settled?.decisions.get(key)?.origin === 'default',
        );
        if (next !== undefined) get().reveal(next);
      },
      foldLevel: (by) =>
        set((state) => {
          const open = state.rows.filter((row) => row.hasChildren && !state.folded.has(row.layer.key));
          const deepest = Math.max(0, ...open.map(({ level }) => level));
          const next = new Set(state.folded);
          for (const { layer, level, hasChildren } of state.rows) {
            if (by < 0 && hasChildren && level === deepest) next.add(layer.key);
            else if (by > 0) next.delete(layer.key);
          }
          return { folded: next, rows: rowsOf({ ...state, folded: next }) };
        }),
      undo: () => step('undo'),
      redo: () => step('redo'),
      async follow() {
        const [{ lastEdit: after }, before] = [get(), sent];
        const news = await request<Followed>(`${address}/edits?after=${after}`).catch(() => null);
        // One's own edits, on their way or made since this was asked, are newer than what the server said.
        if (!news || get().pending > 0 || sent !== before || news.lastEdit === get().lastEdit) return;
        // What was edited here comes back too, and is no news.
        retag((state) => applyChanges(state.tags, news.changes));
        set({ lastEdit: news.lastEdit, canUndo: news.canUndo, canRedo: news.canRedo });
      },
      async resolve(conflict, choice) {
        // Their word has to be known first, or it would be a conflict again.
        await get().follow();
        set((state) => ({ conflicts: state.conflicts.filter((one) => one !== conflict) }));
        const { layer, facet, mine } = conflict;
        if (choice === 'mine') wish([{ layer, facet, value: mine as Wish['value'] }]);
      },
      dismiss: () => set({ problem: null }),
    };
  });
}

/** The looks that a mockup can be shown in; without samples there are those as drawn only. */
export function wornChoices(themes: readonly string[] | null): readonly Worn[] {
  return themes ? ['drawn', 'all', ...themes.map((theme): Worn => `.${theme}`)] : ['drawn'];
}

/** The chosen layers that lie in no other chosen one, in drawing order. */
function outermost(screen: Screen, selection: ReadonlySet<LayerKey>): readonly LayerKey[] {
  const keys: LayerKey[] = [];
  const visit = (layer: Layer) => {
    if (selection.has(layer.key)) keys.push(layer.key);
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

/** This window, as others see its edits. */
const WINDOW = crypto.randomUUID();

function ownEditor(): Editor {
  return { id: WINDOW, name: ownName() };
}

function isAbout({ layer, facet }: Conflict): (other: Conflict) => boolean {
  return (other) => other.layer === layer && other.facet === facet;
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

const RETRY_MS = 1000;

/** An edit is seen before it is saved: a server on the same machine would take the time that its page needs. */
const SENT_AFTER_MS = 200;

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

type Listed = Pick<SortState, 'screen' | 'folded' | 'query' | 'found' | 'onlyFound'>;

function rowsOf({ screen, folded, query, found, onlyFound }: Listed): readonly Row[] {
  return visibleRows(screen, folded, onlyFound && query.trim() !== '' ? found : null);
}

function findingsByLayer(all: readonly Finding[]): ReadonlyMap<LayerKey, readonly Finding[]> {
  const findings = new Map<LayerKey, Finding[]>();
  for (const finding of all) {
    if (finding.layer === null) continue;
    const known = findings.get(finding.layer);
    if (known) known.push(finding);
    else findings.set(finding.layer, [finding]);
  }
  return findings;
}

/** Always the same: nothing is drawn anew for it. */
const NOTHING: readonly LayerKey[] = [];

function findIn({ query, screen, settled, tags, findings }: SortState) {
  if (query.trim() === '' || !settled) return { found: NOTHING, problem: null };
  const { test, problem } = parseQuery(query);
  if (!test) return { found: NOTHING, problem };
  const { decisions } = settled;
  return {
    found: findLayers(screen.root, test, { decisions, findings, isTagged: (key) => tags.has(key) }),
    problem,
  };
}
