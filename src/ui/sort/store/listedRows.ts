import { visibleRows, type Row } from '../rows';
import type { SortState } from './state';

type Listed = Pick<SortState, 'screen' | 'folded' | 'query' | 'found' | 'onlyFound'>;

/** The rows that the worksheet lists: of the results alone, or as far as groups are open. */
export function rowsOf({ screen, folded, query, found, onlyFound }: Listed): readonly Row[] {
  return visibleRows(screen, folded, onlyFound && query.trim() !== '' ? found : null);
}
