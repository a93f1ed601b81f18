import { FormHelperText, InputBase } from '@mui/material';
import { useState } from 'react';
import { MONO } from '../shared/theme';

interface NameFieldProps {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** Takes a name that differs; gives what is wrong with it, or null. */
  readonly onName: (name: string) => string | null;
}

/** A name that is kept on Enter and when the field is left; Escape brings the old one back. */
export function NameField({ label, value, placeholder, onName }: NameFieldProps) {
  const [text, setText] = useState(value);
  const [of, setOf] = useState(value);
  const [problem, setProblem] = useState<string | null>(null);
  if (of !== value) {
    setOf(value);
    setText(value);
    setProblem(null);
  }
  const keep = () => {
    const name = text.trim();
    setProblem(name === value ? null : onName(name));
  };
  return (
    <>
      <InputBase
        value={text}
        placeholder={placeholder}
        onChange={(event) => setText(event.target.value)}
        onBlur={keep}
        onKeyDown={(event) => {
          if (event.key === 'Enter') keep();
          if (event.key !== 'Escape') return;
          setText(value);
          setProblem(null);
        }}
        inputProps={{
          'aria-label': label,
          'aria-invalid': problem !== null,
          spellCheck: false,
          maxLength: 64,
        }}
        sx={{
          fontFamily: MONO,
          fontSize: 13,
          width: '100%',
          borderBottom: 1,
          borderColor: problem ? 'error.main' : 'transparent',
          '&:hover': { borderColor: 'divider' },
          '&.Mui-focused': { borderColor: 'primary.main' },
        }}
      />
      {problem && (
        <FormHelperText error sx={{ m: 0 }}>
          {problem}
        </FormHelperText>
      )}
    </>
  );
}
