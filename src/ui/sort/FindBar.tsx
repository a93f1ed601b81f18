'use client';
import { Box, Button, Checkbox, FormControlLabel, MenuItem, TextField, Typography } from '@mui/material';
import type { KeyboardEvent } from 'react';
import { READY_VIEWS } from '../../core/sort/find/query';
import { FIND_FIELD, focusWorksheet } from './focus';
import { useSort } from './SortContext';

/** The search for layers by words or properties; results are highlighted in the mockup. */
export function FindBar() {
  const query = useSort((state) => state.query);
  const problem = useSort((state) => state.queryProblem);
  const count = useSort((state) => state.found.length);
  const only = useSort((state) => state.onlyFound);
  const look = useSort((state) => state.look);
  const seek = useSort((state) => state.seek);
  const showOnly = useSort((state) => state.showOnlyFound);
  const views = useSort((state) => state.views);
  const keepView = useSort((state) => state.keepView);
  const asked = query.trim() !== '';
  const isKept = views.includes(query.trim());

  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') seek(event.shiftKey ? -1 : 1);
    // The query stays, so that the next match can be asked for.
    else if (event.key === 'Escape') focusWorksheet();
    else return;
    event.preventDefault();
  };
  return (
    <Box
      role="search"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1.5,
        px: 2,
        py: 0.5,
        borderBottom: 1,
        borderColor: 'divider',
      }}
    >
      <TextField
        id={FIND_FIELD}
        size="small"
        variant="standard"
        placeholder="Find: words, or role:heading under:header"
        value={query}
        error={problem !== null}
        onChange={(event) => look(event.target.value)}
        onKeyDown={onKeyDown}
        sx={{ width: 300 }}
        slotProps={{ htmlInput: { 'aria-label': 'Find layers', 'aria-describedby': 'find-answer' } }}
      />
      <TextField
        select
        size="small"
        variant="standard"
        value={
          [...READY_VIEWS.map((view) => view.query), ...views].includes(query.trim()) ? query.trim() : ''
        }
        onChange={(event) => look(event.target.value)}
        sx={{ width: 130 }}
        slotProps={{
          select: { displayEmpty: true, SelectDisplayProps: { 'aria-label': 'View' } },
        }}
      >
        <MenuItem value="">All layers</MenuItem>
        {READY_VIEWS.map(({ name, query: ready }) => (
          <MenuItem key={name} value={ready}>
            {name}
          </MenuItem>
        ))}
        {views.map((view) => (
          <MenuItem key={view} value={view}>
            {view}
          </MenuItem>
        ))}
      </TextField>
      {asked && !problem && !READY_VIEWS.some((view) => view.query === query.trim()) && (
        <Button size="small" color="inherit" onClick={() => void keepView(!isKept)}>
          {isKept ? 'Remove this view' : 'Save as a view'}
        </Button>
      )}
      <FormControlLabel
        sx={{ mr: 0, '& .MuiFormControlLabel-label': { fontSize: 13 } }}
        control={
          <Checkbox size="small" sx={{ p: 0.25 }} checked={only} onChange={(_, next) => showOnly(next)} />
        }
        label="Matches only"
      />
      <Button size="small" color="inherit" disabled={count === 0} onClick={() => seek(1)}>
        Next
      </Button>
      {asked && (
        <Button size="small" color="inherit" onClick={() => look('')}>
          Clear
        </Button>
      )}
      <Typography
        id="find-answer"
        role="status"
        noWrap
        sx={{ fontSize: 12, color: problem ? 'error.main' : 'text.secondary', flex: 1 }}
      >
        {problem ?? (asked ? `${count.toLocaleString('en')} found` : '')}
      </Typography>
    </Box>
  );
}
