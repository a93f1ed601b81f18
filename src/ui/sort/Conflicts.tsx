'use client';
import { Alert, Button } from '@mui/material';
import type { FacetValue } from '../../core/sort/change';
import type { Conflict } from '../../server/useCases/editTags';
import { HAND_FACETS, printLine, type HandFacet } from './facets';
import { useSort } from './SortContext';

/** Conflicting edits of two people, with both values to choose from. */
export function Conflicts() {
  const conflicts = useSort((state) => state.conflicts);
  const resolve = useSort((state) => state.resolve);
  const [conflict, ...more] = conflicts;
  if (!conflict) return null;
  const { by, theirs, mine } = conflict;
  return (
    <Alert
      severity="warning"
      action={
        <>
          <Button color="inherit" onClick={() => void resolve(conflict, 'theirs')}>
            Leave {said(theirs)}
          </Button>
          <Button color="inherit" onClick={() => void resolve(conflict, 'mine')}>
            Take {said(mine)}
          </Button>
        </>
      }
    >
      {by || 'Someone in another window'} set {facetWords(conflict)} to {said(theirs)} while you set it to{' '}
      {said(mine)}.{more.length > 0 && ` ${more.length} more of this kind wait.`}
    </Alert>
  );
}

function facetWords({ layer, facet }: Conflict): string {
  const label = HAND_FACETS[facet as HandFacet]?.label ?? facet;
  return `${label} of ${layer.split('/').at(-1)}`;
}

function said(value: FacetValue | null): string {
  if (value === null) return 'what Orden decides';
  return typeof value === 'object' && !Array.isArray(value) ? 'another value' : `“${printLine(value)}”`;
}
