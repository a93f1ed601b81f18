'use client';
import { Autocomplete, Box, Button, Dialog, DialogTitle, TextField } from '@mui/material';
import { MONO } from '../shared/theme';
import { ACTIONS, type Action } from './actions';
import { useSort, useSortStore } from './SortContext';

/** All actions by name, each with its key. */
export function ActionList() {
  const store = useSortStore();
  const isOpen = useSort((state) => state.dialog === 'actions');
  const open = useSort((state) => state.open);
  const run = (action: Action | null) => {
    open(null);
    if (!action) return;
    // Runs after the dialog returned the focus to the worksheet.
    setTimeout(() => action.run(store.getState()));
  };
  return (
    <>
      <Button color="inherit" onClick={() => open('actions')} title="Full stop in the worksheet">
        Actions
      </Button>
      <Dialog open={isOpen} onClose={() => open(null)} fullWidth maxWidth="sm">
        <DialogTitle>Actions</DialogTitle>
        <Box sx={{ px: 3, pb: 2 }}>
          <Autocomplete
            open
            autoHighlight
            options={[...ACTIONS]}
            getOptionLabel={({ name }) => name}
            onChange={(_, action) => run(action)}
            renderInput={(params) => <TextField {...params} label="What do you want to do?" autoFocus />}
            renderOption={({ key, ...props }, { name, keys }) => (
              <Box component="li" key={key} {...props} sx={{ display: 'flex', gap: 2 }}>
                <Box component="span" sx={{ flex: 1 }}>
                  {name}
                </Box>
                <Box component="kbd" sx={{ fontFamily: MONO, fontSize: 12, color: 'text.secondary' }}>
                  {keys}
                </Box>
              </Box>
            )}
            slotProps={{ popper: { disablePortal: true } }}
            sx={{ minHeight: 360 }}
          />
        </Box>
      </Dialog>
    </>
  );
}
