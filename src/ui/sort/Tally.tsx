'use client';
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
  aside: 'left out',
};

function countOutcomes(decisions: ReadonlyMap<LayerId, Decision> | undefined): Record<Outcome, number> {
  const counts: Record<Outcome, number> = { element: 0, picture: 0, sample: 0, aside: 0 };
  for (const { outcome } of decisions?.values() ?? []) counts[outcome] += 1;
  return counts;
}

/** The number of layers by outcome, and the main keys of the worksheet. */
export function Tally() {
  const open = useSort((state) => state.open);
  return (
    <Box
      sx={{
        display: 'flex',
        gap: 2,
        px: 2,
        alignItems: 'center',
        borderBottom: 1,
        borderColor: 'divider',
        fontSize: 12,
        color: 'text.secondary',
        height: 26,
        flex: 'none',
        overflow: 'hidden',
        whiteSpace: 'nowrap',
      }}
    >
      <Counts />
      <MuiLink component="button" color="inherit" onClick={() => open('summary')} sx={{ fontSize: 12 }}>
        Summary
      </MuiLink>
      <Typography component="span" noWrap sx={{ flex: 1, textAlign: 'right', fontSize: 12 }}>
        ↑↓ move · Enter edit · Del reset · / find · T tags · . actions · ? help
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
