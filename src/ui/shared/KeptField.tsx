import { FormHelperText, InputBase } from '@mui/material';
import { useState } from 'react';

interface KeptFieldProps {
  readonly label: string;
  readonly value: string;
  readonly placeholder?: string;
  /** Shown with the field. */
  readonly hint?: string;
  /** The most characters. */
  readonly most: number;
  /** The family of its letters. Absent for that of the page. */
  readonly fontFamily?: string;
  /** Takes a text that differs; gives what is wrong with it, or null. */
  readonly onKeep: (text: string) => string | null;
}

/** A text that is kept on Enter and when the field is left; Escape brings the old one back. The focus stays in it. */
export function KeptField({ label, value, placeholder, hint, most, fontFamily, onKeep }: KeptFieldProps) {
  const [text, setText] = useState(value);
  const [of, setOf] = useState(value);
  const [problem, setProblem] = useState<string | null>(null);
  /** What was kept last: the value may not be that yet when the field is left. */
  const [kept, setKept] = useState<string | null>(null);
  if (of !== value) {
    setOf(value);
    setText(value);
    setProblem(null);
    setKept(null);
  }
  const keep = () => {
    const next = text.trim();
    const wrong = next === value ? null : onKeep(next);
    setProblem(wrong);
    setKept(wrong === null ? next : null);
  };
  return (
    <>
      <InputBase
        value={text}
        placeholder={placeholder}
        title={hint}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => text.trim() !== kept && keep()}
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
          maxLength: most,
        }}
        sx={{
          fontFamily,
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
