import { Alert, Box } from '@mui/material';
import type { ReactNode } from 'react';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { HistoryButtons } from './HistoryButtons';
import { TopBar, type Step } from './TopBar';
import type { Edits } from './useEdits';

interface StepFrameProps {
  readonly step: Step;
  readonly title: string;
  readonly mockupId: string;
  readonly opened: OpenedMockup | null;
  readonly history: Pick<Edits, 'undo' | 'redo'>;
  readonly problem: string | null;
  /** The row below the bar; absent for none. */
  readonly tools?: ReactNode;
  readonly children: ReactNode;
}

/** A step of a mockup that is edited: its bar with undo and redo, what is wrong, its tools, and its contents. */
export function StepFrame({
  step,
  title,
  mockupId,
  opened,
  history,
  problem,
  tools,
  children,
}: StepFrameProps) {
  return (
    <>
      <TopBar title={title} mockupId={mockupId} step={step}>
        <HistoryButtons
          canUndo={opened?.canUndo ?? false}
          canRedo={opened?.canRedo ?? false}
          onUndo={history.undo}
          onRedo={history.redo}
        />
      </TopBar>
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        {problem && <Alert severity="error">{problem}</Alert>}
        {tools && (
          <Box
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 2,
              px: 1.5,
              minHeight: 44,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            {tools}
          </Box>
        )}
        {children}
      </Box>
    </>
  );
}
