import { Box, NativeSelect, Typography } from '@mui/material';
import { useId, type ReactNode } from 'react';

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (next: string) => void;
  readonly children: ReactNode;
}

/** A labelled list of choices. */
export function Choice({ label, value, onChange, children }: ChoiceProps) {
  const id = useId();
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 0.75 }}>
      <Typography component="label" htmlFor={id} sx={{ fontSize: 12, color: 'text.secondary' }}>
        {label}
      </Typography>
      <NativeSelect
        value={value}
        onChange={(event) => onChange(event.target.value)}
        inputProps={{ id }}
        sx={{ fontSize: 13 }}
      >
        {children}
      </NativeSelect>
    </Box>
  );
}
