import { createStore } from 'zustand';
import type { OpenedMockup } from '../../../server/useCases/openMockup';
import { clipboardSlice } from './clipboard';
import { conversionSlice } from './conversion';
import { rowSlice } from './rows';
import { searchSlice } from './search';
import { selectionSlice } from './selection';
import type { SortState, SortStore } from './state';
import { tagSlice } from './tags';
import { viewSlice } from './view';

/** The store of the Sort step for one mockup. */
export function createSortStore(opened: OpenedMockup): SortStore {
  return createStore<SortState>((set, get) => {
    const rows = rowSlice(set, get, opened);
    const first = rows.rows[0]?.layer.id ?? null;
    return {
      opened,
      ...rows,
      ...selectionSlice(first)(set, get, opened),
      ...tagSlice(set, get, opened),
      ...searchSlice(set, get, opened),
      ...conversionSlice(set, get, opened),
      ...viewSlice(set, get, opened),
      ...clipboardSlice(set, get, opened),
    };
  });
}
