'use client';
import type { Mockup } from '../../core/mockup/mockup';
import { treeOf } from '../../core/mockup/tree';
import { layerLabel } from '../../core/look/layerLabel';
import { Alert, Button } from '@mui/material';
import { facetEntry, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import type { Conflict } from '../../server/useCases/editTags';
import { facetLabel, printLine } from '../shared/facets';
import { useSort } from './SortContext';

/** Conflicting edits of two people, with both values to choose from. */
export function Conflicts() {
  const conflicts = useSort((state) => state.conflicts);
  const mockup = useSort((state) => state.mockup);
  const resolve = useSort((state) => state.resolve);
  const [conflict, ...more] = conflicts;
  if (!conflict) return null;
  const { facet, by, theirs, mine } = conflict;
  return (
    <Alert
      severity="warning"
      action={
        <>
          <Button color="inherit" onClick={() => void resolve(conflict, 'theirs')}>
            Leave {valueWords(facet, theirs)}
          </Button>
          <Button color="inherit" onClick={() => void resolve(conflict, 'mine')}>
            Take {valueWords(facet, mine)}
          </Button>
        </>
      }
    >
      {by || 'Someone in another window'} set {facetWords(conflict, mockup)} to {valueWords(facet, theirs)}{' '}
      while you set it to {valueWords(facet, mine)}.
      {more.length > 0 && ` ${more.length} more of this kind wait.`}
    </Alert>
  );
}

function facetWords({ layer, facet }: Conflict, mockup: Mockup): string {
  const named = treeOf(mockup).layer(layer);
  return `${facetLabel(facet)} of ${named ? layerLabel(named).text : 'a layer that is gone'}`;
}

function valueWords(facet: Facet, value: FacetValue | null): string {
  if (value === null) return 'what Orden decides';
  return facetEntry(facet).editor ? `“${printLine(facet, value)}”` : 'another value';
}
