import type { LayerId } from '../../../core/mockup/layer';
import type { MakeSlice, SelectionSlice } from './state';

/** @param first the layer where the cursor begins; null on an empty screen */
export const selectionSlice =
  (first: LayerId | null): MakeSlice<SelectionSlice> =>
  (set, get) => ({
    cursor: first,
    column: 'layer',
    anchor: first,
    selection: new Set(first === null ? [] : [first]),
    hovered: null,
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
    selectAll: () =>
      set(({ rows, found, onlyFound, query }) => {
        const all = rows.map((row) => row.layer.id);
        // Groups that are listed only for what is inside are no results.
        const results = new Set(found);
        const isSearch = onlyFound && query.trim() !== '';
        return { selection: new Set(isSearch ? all.filter((id) => results.has(id)) : all) };
      }),
    choose(keys, more) {
      const before = more ? [...get().selection] : [];
      const first = keys[0];
      if (first !== undefined) get().reveal(first);
      set({ selection: new Set([...before, ...keys]) });
    },
    hover: (key) => {
      if (get().hovered !== key) set({ hovered: key });
    },
  });
