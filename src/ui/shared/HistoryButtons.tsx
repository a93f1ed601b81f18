import { Button } from '@mui/material';
import { memo } from 'react';

interface HistoryButtonsProps {
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly hints?: { readonly undo: string; readonly redo: string };
}

/** Undo and redo. */
export const HistoryButtons = memo(function HistoryButtons(props: HistoryButtonsProps) {
  const { canUndo, canRedo, onUndo, onRedo, hints } = props;
  return (
    <>
      <Button color="inherit" disabled={!canUndo} onClick={onUndo} title={hints?.undo}>
        Undo
      </Button>
      <Button color="inherit" disabled={!canRedo} onClick={onRedo} title={hints?.redo}>
        Redo
      </Button>
    </>
  );
});
