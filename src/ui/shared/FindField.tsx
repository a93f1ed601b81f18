import { InputBase } from '@mui/material';

interface FindFieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (words: string) => void;
}

/** A field for words to look for. */
export function FindField({ label, value, onChange }: FindFieldProps) {
  return (
    <InputBase
      value={value}
      onChange={(event) => onChange(event.target.value)}
      placeholder={label}
      inputProps={{ 'aria-label': label, type: 'search' }}
      sx={{ px: 1, fontSize: 13, minWidth: 180, borderBottom: 1, borderColor: 'divider' }}
    />
  );
}
