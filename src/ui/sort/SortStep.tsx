'use client';
import { Alert, Box, Snackbar, Typography } from '@mui/material';
import { useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { Group, Panel, Separator, useDefaultLayout } from 'react-resizable-panels';
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
import { LayerMenu } from './LayerMenu';
import { Notices } from './Notices';
import { SelectionBar } from './SelectionBar';
import { SheetSkeleton } from './SheetSkeleton';
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
        <Box component="main" sx={{ p: 2 }}>
          {problem ? <Alert severity="error">{problem}</Alert> : <SheetSkeleton />}
        </Box>
      </>
    );
  }
  return (
    <SortContext value={store}>
      <TopBar title={data.project} mockupId={mockupId} step="sort">
        <ActionList />
        <History />
      </TopBar>
      <SplitView />
      <Problem />
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

/** What could not be saved. It lies over the page, so that nothing moves. */
function Problem() {
  const problem = useSort((state) => state.problem);
  const dismiss = useSort((state) => state.dismiss);
  return (
    <Snackbar open={problem !== null} anchorOrigin={{ vertical: 'top', horizontal: 'center' }}>
      <Alert severity="error" variant="filled" onClose={dismiss}>
        {problem} It was not saved.
      </Alert>
    </Snackbar>
  );
}

function SplitView() {
  const rows = useDefaultLayout({ id: 'orden-sort-rows' });
  const columns = useDefaultLayout({ id: 'orden-sort-columns' });
  return (
    <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Background />
      <Notices />
      <LayerMenu />
      <Conflicts />
      <Tally />
      <FindBar />
      <Box sx={{ flex: 1, minHeight: 0, '& [data-separator]': { bgcolor: 'divider' } }}>
        <Group orientation="vertical" style={{ height: '100%' }} {...rows}>
          <Panel id="sheet" defaultSize="66%" minSize="20%">
            <Group orientation="horizontal" style={{ height: '100%' }} {...columns}>
              <Panel id="worksheet" defaultSize="64%" minSize="25%">
                <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%' }}>
                  <Box sx={{ flex: 1, minHeight: 0 }}>
                    <Worksheet />
                  </Box>
                  <SelectionBar />
                </Box>
              </Panel>
              <Separator aria-label="Width of the worksheet" style={{ width: 5 }} />
              <Panel id="mockup" minSize="15%">
                <MockupView />
              </Panel>
            </Group>
          </Panel>
          <Separator aria-label="Height of the code" style={{ height: 5 }} />
          <Panel id="code" minSize="10%">
            <LayerCodeView />
          </Panel>
        </Group>
      </Box>
    </Box>
  );
}

const HINTS = { undo: 'Undo (Ctrl Z)', redo: 'Redo (Ctrl Shift Z)' } as const;

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
