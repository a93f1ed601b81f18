'use client';
import { Box, InputBase, Menu, MenuItem, Popover, Typography } from '@mui/material';
import { useState } from 'react';
import type { FacetValue } from '../../core/sort/change';
import type { Decision } from '../../core/sort/decision';
import type { CellFacet } from './store';
import { OUTCOMES, OUTCOME_NAMES, ROLE_NAMES } from '../../core/sort/vocabulary';
import { MONO } from '../shared/theme';

export interface Editing {
  readonly facet: CellFacet;
  readonly cell: HTMLElement;
  readonly decision: Decision | undefined;
}

interface CellEditorProps {
  readonly editing: Editing;
  /** How many layers the answer is for. */
  readonly count: number;
  readonly onDone: (value: FacetValue | null) => void;
  readonly onCancel: () => void;
}

interface Choice {
  readonly value: FacetValue | null;
  readonly label: string;
}

const AUTOMATIC: Choice = { value: null, label: 'let Orden decide' };
const CHOICES: Readonly<Partial<Record<CellFacet, readonly Choice[]>>> = {
  outcome: [
    ...OUTCOME_NAMES.map((name) => ({ value: name, label: `${name}: ${OUTCOMES[name].says}` })),
    AUTOMATIC,
  ],
  role: [...ROLE_NAMES.map((name) => ({ value: name, label: name })), AUTOMATIC],
  hidden: [{ value: true, label: 'hidden at first' }, { value: false, label: 'shown at first' }, AUTOMATIC],
};

/** Edits the cell under the cursor: a list to choose from, or a line to write in. */
export function CellEditor(props: CellEditorProps) {
  const choices = CHOICES[props.editing.facet];
  return choices ? <ChoiceEditor {...props} choices={choices} /> : <LineEditor {...props} />;
}

function ChoiceEditor({
  editing,
  choices,
  onDone,
  onCancel,
}: CellEditorProps & { readonly choices: readonly Choice[] }) {
  const now = editing.decision?.[editing.facet];
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

const LINES: Readonly<Partial<Record<CellFacet, { readonly label: string; readonly hint: string }>>> = {
  classes: { label: 'Classes', hint: 'Class names, a space between them. Empty: none.' },
  outputName: { label: 'Output name', hint: 'Names its class or its picture file. Empty: let Orden decide.' },
};

function LineEditor({ editing, count, onDone, onCancel }: CellEditorProps) {
  const { facet, decision } = editing;
  const line = LINES[facet] ?? { label: facet, hint: '' };
  const [text, setText] = useState(
    facet === 'classes' ? (decision?.classes.join(' ') ?? '') : (decision?.outputName ?? ''),
  );
  const done = () => {
    const words = text.trim().split(/\s+/).filter(Boolean);
    if (facet === 'classes') onDone(words.length > 0 ? words : null);
    else onDone(text.trim() || null);
  };
  return (
    <Popover
      open
      anchorEl={editing.cell}
      onClose={onCancel}
      transitionDuration={0}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { 'aria-label': line.label } }}
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
          inputProps={{ 'aria-label': line.label, spellCheck: false }}
          sx={{ fontFamily: MONO, fontSize: 13, border: 1, borderColor: 'text.secondary', px: 0.75 }}
        />
        <Typography variant="caption" color="text.secondary">
          {count > 1 ? `For ${count} layers. ` : ''}
          {line.hint}
        </Typography>
      </Box>
    </Popover>
  );
}
