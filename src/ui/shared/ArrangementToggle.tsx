'use client';
import { ToggleButton, ToggleButtonGroup } from '@mui/material';
import { memo } from 'react';
import { ARRANGEMENTS, type Arrangement } from '../../core/page/frame';

interface ArrangementToggleProps {
  readonly value: Arrangement;
  readonly onChange: (next: Arrangement) => void;
}

/** The choice of the arrangement. */
export const ArrangementToggle = memo(function ArrangementToggle({
  value,
  onChange,
}: ArrangementToggleProps) {
  return (
    <ToggleButtonGroup
      size="small"
      exclusive
      value={value}
      onChange={(_, next: Arrangement | null) => next && onChange(next)}
      aria-label="Arrangement"
    >
      {ARRANGEMENTS.map((name) => (
        <ToggleButton key={name} value={name} sx={{ py: 0.25 }}>
          {name}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
});
