import type { LayerId } from '../../../core/mockup/layer';
import { walk } from '../../../core/mockup/walk';
import { findLayers, parseQuery } from '../../../core/sort/find/query';
import type { KeptViews } from '../../../server/useCases/views';
import { request, sentence } from '../../shared/request';
import { addressOf } from './opened';
import { rowsOf } from './listedRows';
import type { MakeSlice, SearchSlice, SortState } from './state';

export const searchSlice: MakeSlice<SearchSlice> = (set, get, opened) => ({
  query: '',
  queryProblem: null,
  found: NOTHING,
  views: opened.views,
  onlyFound: false,
  look: (query) => set(refind({ query })),
  showOnlyFound: (onlyFound) => set(refind({ onlyFound })),
  async keepView(isKept) {
    const query = get().query.trim();
    try {
      const { views } = await request<KeptViews>(`${addressOf(opened)}/views`, {
        method: isKept ? 'POST' : 'DELETE',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ query }),
      });
      set({ views });
    } catch (error) {
      set({ problem: sentence(error) });
    }
  },
  seek(by) {
    const { found, cursor } = get();
    const at = found.indexOf(cursor ?? '');
    const next = found[(at + by + found.length) % Math.max(1, found.length)] ?? found[0];
    if (next !== undefined) get().reveal(next);
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
});

/** A change with a new search: results depend on the query, the decisions and the screen. */
export function refind(change: Partial<SortState>): (state: SortState) => Partial<SortState> {
  return (state) => {
    const next = { ...state, ...change };
    const { found, problem } = findIn(next);
    return { ...change, found, queryProblem: problem, rows: rowsOf({ ...next, found }) };
  };
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
