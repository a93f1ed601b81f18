'use client';
import { Alert, Box, CircularProgress, Typography } from '@mui/material';
import { useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { HistoryButtons } from '../shared/HistoryButtons';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { ActionList } from './ActionList';
import { FindBar } from './FindBar';
import { LayerCodeView } from './LayerCodeView';
import { MockupView } from './mockup/MockupView';
import { SortContext, useSort } from './SortContext';
import { RenameDialog } from './RenameDialog';
import { Conflicts } from './Conflicts';
import { WhoDialog } from './WhoDialog';
import { createSortStore } from './store/store';
import { Tally } from './Tally';
import { SummaryDialog } from './SummaryDialog';
import { useConversion } from './useConversion';
import { useFollowing } from './useFollowing';
import { Worksheet } from './Worksheet';

/** The Sort step: worksheet and mockup side by side, with the code of the selected layer below. */
export function SortStep({ mockupId }: { readonly mockupId: string }) {
  const { data, problem } = useResource<OpenedMockup>(`/api/mockups/${mockupId}`);
  const asked = useSearchParams().get('layer');
  const store = useMemo(() => {
    const created = data && createSortStore(data);
    if (asked !== null) created?.getState().reveal(asked);
    return created;
  }, [data, asked]);
  if (!store || !data) {
    return (
      <>
        <TopBar title="Sort" mockupId={mockupId} step="sort" />
        <Box component="main" sx={{ p: 3 }}>
          {problem ? (
            <Alert severity="error">{problem}</Alert>
          ) : (
            <CircularProgress size={24} aria-label="Opening the mockup" />
          )}
        </Box>
      </>
    );
  }
  return (
    <SortContext value={store}>
      <TopBar title={data.mockup.name} mockupId={mockupId} step="sort">
        <ActionList />
        <History />
      </TopBar>
      <SplitView />
      <RenameDialog />
      <SummaryDialog />
      <WhoDialog />
    </SortContext>
  );
}

/** A component of its own: its state changes with every edit, and the split view must not re-render. */
function Background() {
  useConversion();
  useFollowing();
  return null;
}

function Problem() {
  const problem = useSort((state) => state.problem);
  const dismiss = useSort((state) => state.dismiss);
  if (!problem) return null;
  return (
    <Alert severity="error" onClose={dismiss}>
      {problem} Reload the page to see what is saved.
    </Alert>
  );
}

function SplitView() {
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Background />
      <Problem />
      <Conflicts />
      <Tally />
      <FindBar />
      <Box sx={{ flex: 1, minHeight: 0, '& [data-separator]': { bgcolor: 'divider' } }}>
        <Group orientation="vertical" style={{ height: '100%' }}>
          <Panel defaultSize="70%" minSize="20%">
            <Group orientation="horizontal" style={{ height: '100%' }}>
              <Panel defaultSize="62%" minSize="25%">
                <Worksheet />
              </Panel>
              <Separator aria-label="Width of the worksheet" style={{ width: 5 }} />
              <Panel minSize="15%">
                <MockupView />
              </Panel>
            </Group>
          </Panel>
          <Separator aria-label="Height of the code" style={{ height: 5 }} />
          <Panel minSize="10%">
            <LayerCodeView />
          </Panel>
        </Group>
      </Box>
    </Box>
  );
}

const HINTS = { undo: 'Ctrl+Z in the worksheet', redo: 'Ctrl+Shift+Z in the worksheet' } as const;

function History() {
  const canUndo = useSort((state) => state.canUndo);
  const canRedo = useSort((state) => state.canRedo);
  const pending = useSort((state) => state.pending);
  const waiting = useSort((state) => state.waiting);
  const undo = useSort((state) => state.undo);
  const redo = useSort((state) => state.redo);
  return (
    <>
      <Typography role="status" sx={{ fontSize: 12, color: 'text.secondary' }}>
        {waiting ? 'Waiting for the server' : pending > 0 ? 'Saving' : 'Saved'}
      </Typography>
      <HistoryButtons canUndo={canUndo} canRedo={canRedo} onUndo={undo} onRedo={redo} hints={HINTS} />
    </>
  );
}
