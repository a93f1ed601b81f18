'use client';
import { Autocomplete, Box, Button, Dialog, DialogActions, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import { MONO } from '../shared/theme';
import { ACTIONS, isPossible, type Action } from './actions';
import { focusWorksheet } from './focus';
import { useSort, useSortStore } from './SortContext';

const matching = (actions: Action[], { inputValue }: { readonly inputValue: string }) => {
  const wanted = inputValue.toLowerCase().split(/\s+/).filter(Boolean);
  return actions.filter(({ name, group, also = '' }) => {
    const text = `${name} ${group} ${also}`.toLowerCase();
    return wanted.every((word) => text.includes(word));
  });
};

/** The actions that are possible now, by name and in groups, each with its key. */
export function ActionList() {
  const isOpen = useSort((state) => state.dialog === 'actions');
  const open = useSort((state) => state.open);
  return (
    <>
      <Button color="inherit" onClick={() => open('actions')} title="Key: full stop">
        Actions
      </Button>
      {isOpen && <OpenList />}
    </>
  );
}

function OpenList() {
  const store = useSortStore();
  const open = useSort((state) => state.open);
  const [text, setText] = useState('');
  const close = () => {
    open(null);
    // After the dialog has given the focus back.
    setTimeout(focusWorksheet);
  };
  const run = (action: Action | null) => {
    close();
    if (action) setTimeout(() => action.run(store.getState()));
  };
  return (
    <Dialog open onClose={close} fullWidth maxWidth="sm" aria-labelledby="actions-title">
      <DialogTitle id="actions-title">Actions</DialogTitle>
      <Box
        sx={{ px: 3 }}
        onKeyDownCapture={(event) => {
          if (event.key !== 'Escape') return;
          // The list would keep the key: the first press clears the text, the next one closes.
          event.stopPropagation();
          event.preventDefault();
          if (text === '') close();
          else setText('');
        }}
      >
        <Autocomplete
          open
          autoHighlight
          options={ACTIONS.filter((action) => isPossible(action, store.getState()))}
          groupBy={({ group }) => group}
          renderGroup={({ key, group, children }) => (
            <li key={key} role="none">
              <Box aria-hidden sx={{ px: 2, pt: 1, fontSize: 12, fontWeight: 600, color: 'text.secondary' }}>
                {group}
              </Box>
              <Box component="ul" role="group" aria-label={group} sx={{ p: 0, m: 0, listStyle: 'none' }}>
                {children}
              </Box>
            </li>
          )}
          getOptionLabel={({ name }) => name}
          filterOptions={matching}
          inputValue={text}
          onInputChange={(_, next, reason) => reason !== 'reset' && setText(next)}
          noOptionsText="No action of that name. Try another word."
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
          sx={{ minHeight: 380 }}
        />
      </Box>
      <DialogActions>
        <Button onClick={close}>Close</Button>
      </DialogActions>
    </Dialog>
  );
}
