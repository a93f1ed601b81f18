import { applyStructuralTags } from '../../../core/sort/structuralTags';
import { ancestorsOf, foldedAtFirst, screenOf, visibleRows } from '../rows';
import { rowsOf } from './listedRows';
import { tagsOf } from './opened';
import { refind } from './search';
import type { MakeSlice, RowSlice } from './state';

export const rowSlice: MakeSlice<RowSlice> = (set, get, opened) => {
  const mockup = applyStructuralTags(opened.mockup, tagsOf(opened));
  const folded = foldedAtFirst(mockup);
  const screen = screenOf(mockup, '');
  return {
    mockup,
    screen,
    folded,
    rows: visibleRows(screen, folded),
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
      set(refind({ screen: shown }));
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
  };
};
