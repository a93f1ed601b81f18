'use client';
import { Button, Dialog, DialogActions, DialogContent, DialogTitle, TextField } from '@mui/material';
import { useState } from 'react';
import { ownName, setOwnName } from './ownName';
import { useSort } from './SortContext';

/** Asks for the name that others see beside this person's edits. */
export function WhoDialog() {
  const isOpen = useSort((state) => state.dialog === 'who');
  const open = useSort((state) => state.open);
  return (
    <Dialog open={isOpen} onClose={() => open(null)} fullWidth maxWidth="xs">
      <DialogTitle>Who are you?</DialogTitle>
      {isOpen && <NameForm onDone={() => open(null)} />}
    </Dialog>
  );
}

function NameForm({ onDone }: { readonly onDone: () => void }) {
  const [name, setName] = useState(ownName);
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        setOwnName(name);
        onDone();
      }}
    >
      <DialogContent>
        <TextField
          autoFocus
          fullWidth
          size="small"
          label="Your name"
          value={name}
          onChange={(event) => setName(event.target.value)}
          helperText="Said to others when you set the same thing in the same moment. It stays in this browser."
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onDone}>Cancel</Button>
        <Button type="submit" variant="contained">
          Keep it
        </Button>
      </DialogActions>
    </form>
  );
}
