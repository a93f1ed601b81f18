import { Box } from '@mui/material';
import type { ReactNode } from 'react';

interface ListAndDetailProps {
  readonly list: ReactNode;
  /** A `DetailPane`; empty when nothing of the list is shown. */
  readonly detail: ReactNode;
}

/** A list, and beside it one of its entries close up. Each scrolls by itself. */
export function ListAndDetail({ list, detail }: ListAndDetailProps) {
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) minmax(320px, 400px)',
        gridTemplateRows: 'minmax(0, 1fr)',
      }}
    >
      {list}
      {detail}
    </Box>
  );
}

interface DetailPaneProps {
  readonly label: string;
  readonly children: ReactNode;
}

/** The entry of a list that is shown close up. */
export function DetailPane({ label, children }: DetailPaneProps) {
  return (
    <Box
      component="section"
      aria-label={label}
      sx={{
        minHeight: 0,
        overflow: 'auto',
        borderLeft: 1,
        borderColor: 'divider',
        p: 1.5,
        display: 'flex',
        flexDirection: 'column',
        gap: 1.5,
      }}
    >
      {children}
    </Box>
  );
}
