'use client';
import { treeOf, type LayerTree } from '../../core/mockup/tree';
import { Box, Link as MuiLink, Typography } from '@mui/material';
import { useMemo } from 'react';
import type { LayerId } from '../../core/mockup/layer';
import type { Decision } from '../../core/sort/decision';
import { OUTCOMES, OUTCOME_NAMES, type Outcome } from '../../core/sort/vocabulary';
import { useSort } from './SortContext';

const COUNTED: Readonly<Record<Outcome, string>> = {
  element: 'elements',
  picture: 'in pictures',
  sample: 'samples',
  aside: 'aside',
};

/** The number of like-built layers that share the tags of this layer, or of the part that it is in. */
function countAlike(
  cursor: LayerId | null,
  tree: LayerTree,
  decisions: ReadonlyMap<LayerId, Decision> | undefined,
): number {
  const line = cursor === null ? [] : tree.lineage(cursor);
  return line.map((id) => decisions?.get(id)?.repeat?.count).find((count) => count !== undefined) ?? 0;
}

function countOutcomes(decisions: ReadonlyMap<LayerId, Decision> | undefined): Record<Outcome, number> {
  const counts: Record<Outcome, number> = { element: 0, picture: 0, sample: 0, aside: 0 };
  for (const { outcome } of decisions?.values() ?? []) counts[outcome] += 1;
  return counts;
}

/** The number of layers by outcome, and the keys of the worksheet. */
export function Tally() {
  const open = useSort((state) => state.open);
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 2,
        px: 2,
        py: 0.5,
        borderBottom: 1,
        borderColor: 'divider',
        fontSize: 12,
        color: 'text.secondary',
        flexWrap: 'wrap',
      }}
    >
      <Counts />
      <MuiLink component="button" color="inherit" onClick={() => open('summary')} sx={{ fontSize: 12 }}>
        in figures
      </MuiLink>
      <Chosen />
      <Typography component="span" sx={{ flex: 1, textAlign: 'right', fontSize: 12 }}>
        Arrows walk, Enter sets, Delete gives back to Orden; / finds, T says more, full stop lists all actions
      </Typography>
    </Box>
  );
}

function Counts() {
  const decisions = useSort((state) => state.result?.decisions);
  const counts = useMemo(() => countOutcomes(decisions), [decisions]);
  return (
    <>
      <span>{decisions?.size ?? 0} layers</span>
      {OUTCOME_NAMES.map((name) => (
        <span key={name}>
          <b>{OUTCOMES[name].letter}</b> {counts[name]} {COUNTED[name]}
        </span>
      ))}
    </>
  );
}

/** The size of the selection, and how far its tags reach. */
function Chosen() {
  const selected = useSort((state) => state.selection.size);
  const mockup = useSort((state) => state.mockup);
  const tree = useMemo(() => treeOf(mockup), [mockup]);
  const alike = useSort((state) => countAlike(state.cursor, tree, state.result?.decisions));
  return (
    <>
      {selected > 1 && <b>{selected} chosen</b>}
      {alike > 1 && <b>what is set here holds for all {alike} alike</b>}
    </>
  );
}
