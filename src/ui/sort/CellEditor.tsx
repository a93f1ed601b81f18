'use client';
import { Box, InputBase, Menu, MenuItem, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import type { FacetChoice } from '../../core/sort/facets/facet';
import { checkFacet, facetEntry, type FacetValue } from '../../core/sort/facets/facets';
import type { Decision } from '../../core/sort/decision';
import { editorOf, parseLine, printLine } from '../shared/facets';
import type { CellFacet } from './store/state';
import { MONO } from '../shared/theme';

export interface Editing {
  readonly facet: CellFacet;
  readonly cell: HTMLElement;
  readonly decision: Decision | undefined;
}

interface CellEditorProps {
  readonly editing: Editing;
  /** The number of layers that get the value. */
  readonly count: number;
  readonly onDone: (value: FacetValue | null) => void;
  readonly onCancel: () => void;
}

/** Edits the cell under the cursor: a list of choices, or a text field. */
export function CellEditor(props: CellEditorProps) {
  const { choices } = editorOf(props.editing.facet);
  return choices ? <ChoiceEditor {...props} choices={choices} /> : <LineEditor {...props} />;
}

function ChoiceEditor({
  editing,
  choices,
  onDone,
  onCancel,
}: CellEditorProps & { readonly choices: readonly FacetChoice<FacetValue>[] }) {
  const now = editing.decision && facetEntry(editing.facet).current(editing.decision);
  return (
    <Menu
      open
      anchorEl={editing.cell}
      onClose={onCancel}
      transitionDuration={0}
      slotProps={{ list: { dense: true } }}
    >
      {choices.map((choice) => (
        <MenuItem key={choice.label} selected={choice.value === now} onClick={() => onDone(choice.value)}>
          {choice.label}
        </MenuItem>
      ))}
    </Menu>
  );
}

function LineEditor({ editing, count, onDone, onCancel }: CellEditorProps) {
  const { facet, decision } = editing;
  const { label, hint, nearest } = editorOf(facet);
  const [text, setText] = useState(printLine(facet, decision ? facetEntry(facet).current(decision) : null));
  const [refused, setRefused] = useState<string | null>(null);
  const done = () => {
    const parsed = parseLine(facet, text);
    const check = parsed === null ? { value: null } : checkFacet(facet, parsed);
    if ('problem' in check) setRefused(check.problem);
    else onDone(check.value);
  };
  return (
    <Popover
      open
      anchorEl={editing.cell}
      onClose={onCancel}
      transitionDuration={0}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { 'aria-label': label } }}
    >
      <Box sx={{ p: 1, width: 280 }}>
        <InputBase
          autoFocus
          fullWidth
          value={text}
          onChange={(event) => setText(event.target.value)}
          onFocus={(event) => event.target.select()}
          onKeyDown={(event) => {
            if (event.key === 'Enter') {
              event.preventDefault();
              done();
            }
          }}
          inputProps={{ 'aria-label': label, spellCheck: false, 'aria-invalid': refused !== null }}
          sx={{ fontFamily: MONO, fontSize: 13, border: 1, borderColor: 'text.secondary', px: 0.75 }}
        />
        {refused !== null && (
          <Typography role="alert" variant="caption" component="p" color="error">
            {refused} {nearest?.(text.trim()) && `For example: ${nearest(text.trim())}`}
          </Typography>
        )}
        <Typography variant="caption" component="p" color="text.secondary">
          {count > 1 ? `For ${count} layers. ` : ''}
          {hint}
        </Typography>
      </Box>
    </Popover>
  );
}
