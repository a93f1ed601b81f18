'use client';
import { Button } from '@mui/material';
import { useSnackbar } from 'notistack';
import { useEffect } from 'react';
import { useSort, useSortStore } from './SortContext';

/** Says what an act did, where it cannot be seen at once. */
export function Notices() {
  const store = useSortStore();
  const notice = useSort((state) => state.notice);
  const { enqueueSnackbar, closeSnackbar } = useSnackbar();
  useEffect(() => {
    if (!notice) return;
    enqueueSnackbar(notice.text, {
      autoHideDuration: 4000,
      preventDuplicate: false,
      action: (key) =>
        notice.canUndo && (
          <Button
            color="inherit"
            onClick={() => {
              closeSnackbar(key);
              store.getState().undo();
            }}
          >
            Undo
          </Button>
        ),
    });
  }, [notice, enqueueSnackbar, closeSnackbar, store]);
  return null;
}
