'use client';
import { Box, Button, Typography } from '@mui/material';
import { treeOf, type LayerTree } from '../../core/mockup/tree';
import { useMemo } from 'react';
import { useShallow } from 'zustand/react/shallow';
import type { LayerId } from '../../core/mockup/layer';
import type { Decision } from '../../core/sort/decision';
import { isPossible, MAIN_ACTIONS } from './actions';
import { useSort, useSortStore } from './SortContext';

/** What is selected, how far its tags reach, and the main things to do with it. It is always there, so nothing jumps. */
export function SelectionBar() {
  const store = useSortStore();
  const possible = useSort(useShallow((state) => MAIN_ACTIONS.filter((action) => isPossible(action, state))));
  return (
    <Box
      role="toolbar"
      aria-label="Selection"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 0.5,
        px: 1,
        height: 32,
        flex: 'none',
        overflow: 'hidden',
        borderTop: 1,
        borderColor: 'divider',
        bgcolor: 'background.default',
      }}
    >
      <Selected />
      {MAIN_ACTIONS.map((action) => (
        <Button
          key={action.name}
          color="inherit"
          disabled={!possible.includes(action)}
          title={`${action.name}${action.keys === '' ? '' : ` (${action.keys})`}`}
          onClick={() => action.run(store.getState())}
          sx={{ minWidth: 0, px: 0.75, py: 0, whiteSpace: 'nowrap', fontSize: 12.5 }}
        >
          {action.short}
        </Button>
      ))}
    </Box>
  );
}

/** The number of like-built layers that share the tags of this layer, or of the part that it is in. */
function countAlike(
  cursor: LayerId | null,
  tree: LayerTree,
  decisions: ReadonlyMap<LayerId, Decision> | undefined,
): number {
  const line = cursor === null ? [] : tree.lineage(cursor);
  return line.map((id) => decisions?.get(id)?.repeat?.count).find((count) => count !== undefined) ?? 0;
}

function Selected() {
  const selected = useSort((state) => state.selection.size);
  const mockup = useSort((state) => state.mockup);
  const tree = useMemo(() => treeOf(mockup), [mockup]);
  const alike = useSort((state) => countAlike(state.cursor, tree, state.result?.decisions));
  return (
    <Typography noWrap role="status" sx={{ fontSize: 12.5, fontWeight: 600, mr: 'auto', minWidth: 0 }}>
      {selected} selected
      {alike > 1 && (
        <Box component="span" sx={{ fontWeight: 400 }}>{` – tags hold for all ${alike} alike`}</Box>
      )}
    </Typography>
  );
}
