import type { LayerId } from '../../../core/mockup/layer';
import type { Layer } from '../../../core/mockup/layer';
import type { Screen } from '../../../core/mockup/mockup';
import { treeOf } from '../../../core/mockup/tree';
import { applyChanges, type Change } from '../../../core/sort/change';
import { checkFacet, COPIED_FACETS } from '../../../core/sort/facets/facets';
import { structureKey, applyStructuralTags } from '../../../core/sort/structuralTags';
import type { Tags } from '../../../core/sort/tag';
import { boxAround } from '../../../core/mockup/box';
import type { Editor } from '../../../server/db/tables/edits';
import type { Conflict, Edited, TagEdit } from '../../../server/useCases/editTags';
import type { Followed } from '../../../server/useCases/followEdits';
import { postJson, request } from '../../shared/request';
import { changeWords } from '../changeWords';
import { EDITED_FACETS } from '../../shared/facets';
import { ownName, rememberPerson } from '../ownName';
import { screenOf } from '../rows';
import { addressOf, tagsOf } from './opened';
import { optimisticResult } from './optimisticResult';
import { rowsOf } from './listedRows';
import { createSaveQueue } from './saveQueue';
import type { MakeSlice, SortState, TagSlice } from './state';

type PendingChange = Pick<Change, 'layer' | 'facet' | 'after'>;

/** Edits show at once and are saved one after the other. */
export const tagSlice: MakeSlice<TagSlice> = (set, get, opened) => {
  const address = addressOf(opened);
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
  const queue = createSaveQueue<PendingChange, Edited>({
    onOffline: () => set({ waiting: true }),
    onSaved({ changes, conflicts, canUndo, canRedo }, since) {
      // A rejected edit shows the other person's value until a choice is made.
      const theirs = conflicts.map(({ layer, facet, theirs: after }) => ({ layer, facet, after }));
      retag((state) => applyChanges(state.tags, [...changes, ...theirs, ...since]));
      set((state) => ({
        canUndo,
        canRedo,
        waiting: false,
        conflicts: [...state.conflicts.filter((old) => !conflicts.some(isAbout(old))), ...conflicts],
      }));
    },
    onFailed: (problem) => set({ problem, waiting: false }),
    onPending: (pending) => set({ pending }),
  });
  const edit = (given: readonly TagEdit[]) => {
    if (given.length === 0) return;
    // A value that the server would refuse never becomes the state.
    const checks = given.map(({ facet, value }) => (value === null ? { value } : checkFacet(facet, value)));
    const refused = checks.find((check) => 'problem' in check);
    if (refused) {
      set({ problem: refused.problem });
      return;
    }
    const edits = given.map((each, at) => ({
      ...each,
      ...(checks[at] as { readonly value: TagEdit['value'] }),
    }));
    const said = edits.map(({ layer, facet, value }) => ({ layer, facet, after: value ?? null }));
    // The worker can start on them meanwhile.
    retag(({ tags: now }) => applyChanges(now, said));
    set(({ result }) => ({ result: result && optimisticResult(result, edits) }));
    // The state when the edit was made, not when it could be sent.
    const { lastEdit: after } = get();
    const shown = new Promise((resolve) => setTimeout(resolve, SENT_AFTER_MS));
    // A save that is sent again has the same id, so that it is carried out once.
    const requestId = crypto.randomUUID();
    const save = async () => {
      await shown;
      return postJson<Edited>(`${address}/edits`, { edits, after, editor: ownEditor(), request: requestId });
    };
    queue.add(save, said);
  };
  const step = (kind: 'undo' | 'redo') => {
    const body = { editor: ownEditor(), request: crypto.randomUUID() };
    queue.add(async () => {
      const done = await postJson<Edited>(`${address}/${kind}`, body);
      const [first] = done.changes;
      const { mockup } = get();
      const verb = kind === 'undo' ? 'Undone' : 'Redone';
      set({ notice: { text: `${verb}: ${changeWords(mockup, done.changes)}`, canUndo: false } });
      if (first && treeOf(mockup).layer(first.layer)) get().reveal(first.layer);
      return done;
    });
  };
  return {
    tags: tagsOf(opened),
    copied: null,
    canUndo: opened.canUndo,
    canRedo: opened.canRedo,
    pending: 0,
    waiting: false,
    lastEdit: opened.lastEdit,
    problem: null,
    notice: null,
    conflicts: [],
    setFacet: (facet, value) => edit([...get().selection].map((layer): TagEdit => ({ layer, facet, value }))),
    clear: (facet, layers) => edit(layers.map((layer): TagEdit => ({ layer, facet, value: null }))),
    setEach: (facet, values) => edit([...values].map(([layer, value]): TagEdit => ({ layer, facet, value }))),
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
        set({ notice: { text: mergeWords(keys, name, get()), canUndo: true } });
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
    clearAll() {
      const { selection, tags: now } = get();
      edit(
        [...selection].flatMap((layer) =>
          EDITED_FACETS.filter((facet) => now.get(layer)?.[facet] !== undefined).map((facet): TagEdit => ({
            layer,
            facet,
            value: null,
          })),
        ),
      );
    },
    undo: () => step('undo'),
    redo: () => step('redo'),
    async follow() {
      const [{ lastEdit: after }, before] = [get(), queue.added()];
      const news = await request<Followed>(`${address}/edits?after=${after}`).catch(() => null);
      // One's own pending edits are newer than the server's state.
      if (!news || get().pending > 0 || queue.added() !== before || news.lastEdit === get().lastEdit) return;
      // One's own edits come back too, without a difference.
      retag((state) => applyChanges(state.tags, news.changes));
      set(({ canUndo, canRedo }) => ({
        lastEdit: news.lastEdit,
        canUndo: news.canUndo ?? canUndo,
        canRedo: news.canRedo ?? canRedo,
      }));
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
};

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

/** What a merge made, and how much of it is empty: layers that lie apart make one large picture. */
function mergeWords(keys: readonly LayerId[], name: string, { result }: SortState): string {
  const boxes = keys.flatMap((key) => result?.boxes.get(key) ?? []);
  const around = boxes.length > 0 ? boxAround(boxes) : null;
  const filled = boxes.reduce((sum, box) => sum + box.width * box.height, 0);
  const size = around ? `, ${Math.round(around.width)}×${Math.round(around.height)} px` : '';
  const apart =
    around && filled < SPARSE * around.width * around.height
      ? '. They lie apart, so most of the picture is empty'
      : '';
  return `${keys.length} layers are one picture, ${name}${size}${apart}.`;
}

/** A merged picture that is filled to less than this share is mostly empty. */
const SPARSE = 0.35;

function freeMergeName(wanted: string, tags: Tags): string {
  const taken = new Set([...tags.values()].flatMap(({ merge }) => merge ?? []));
  let name = `${wanted}-merged`;
  for (let count = 2; taken.has(name); count++) name = `${wanted}-merged-${count}`;
  return name;
}

/** The id of this window in its edits. */
const WINDOW = crypto.randomUUID();

function ownEditor(): Editor {
  rememberPerson();
  return { id: WINDOW, name: ownName() };
}

function isAbout({ layer, facet }: Conflict): (other: Conflict) => boolean {
  return (other) => other.layer === layer && other.facet === facet;
}

/** An edit is shown before it is sent: a server on the same machine would slow the page. */
const SENT_AFTER_MS = 200;
