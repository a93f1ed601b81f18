import RedoOutlined from '@mui/icons-material/RedoOutlined';
import UndoOutlined from '@mui/icons-material/UndoOutlined';
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
      <Button
        color="inherit"
        disabled={!canUndo}
        onClick={onUndo}
        title={hints?.undo}
        startIcon={<UndoOutlined />}
      >
        Undo
      </Button>
      <Button
        color="inherit"
        disabled={!canRedo}
        onClick={onRedo}
        title={hints?.redo}
        startIcon={<RedoOutlined />}
      >
        Redo
      </Button>
    </>
  );
});
