import { Box, Button, InputBase, MenuItem, Select, Typography } from '@mui/material';
import equal from 'fast-deep-equal';
import { memo, useId, useState } from 'react';
import type { FacetChoice } from '../../core/sort/facets/facet';
import { checkFacet, type Facet, type FacetValue } from '../../core/sort/facets/facets';
import { editorOf, parseLine, printLine } from './facets';

/** A select has no empty value: this one removes a tag. */
const REMOVE = '(back)';
const DIFFERS = 'mixed';

interface FieldProps {
  readonly facet: Facet;
  /** Stands for the layers whose facet it is. */
  readonly subject: string;
  readonly value: FacetValue | null;
  readonly differs: boolean;
  /** True when a person set it on one of the selected layers. */
  readonly settled: boolean;
  readonly onSet: (facet: Facet, value: FacetValue | null) => void;
}

/** Memoized, since form fields are slow to render. */
export const TagField = memo(function TagField(props: FieldProps) {
  const { facet, settled, onSet } = props;
  const { label, choices, hint = '' } = editorOf(facet);
  const id = useId();
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: '82px minmax(0, 1fr) auto',
        alignItems: 'center',
        minHeight: 25,
      }}
    >
      <Typography
        component="label"
        htmlFor={id}
        noWrap
        title={hint}
        sx={{ fontSize: 12, color: 'text.secondary' }}
      >
        {label}
      </Typography>
      {choices ? <Choice {...props} id={id} choices={choices} /> : <Line {...props} id={id} />}
      {settled && (
        <Button
          color="inherit"
          aria-label={`Reset ${label}: set by you`}
          title="Set by you; reset to automatic"
          onClick={() => onSet(facet, null)}
          sx={{ minWidth: 24, width: 24, height: 24, p: 0, color: 'primary.main' }}
        >
          ×
        </Button>
      )}
    </Box>
  );
}, equal);

function Choice({
  id,
  facet,
  value,
  differs,
  settled,
  onSet,
  choices,
}: FieldProps & {
  readonly id: string;
  readonly choices: readonly FacetChoice<FacetValue>[];
}) {
  const { label, none, print } = editorOf(facet);
  const marks = choices.map((choice) => (choice.value === null ? REMOVE : String(choice.value)));
  return (
    <Select
      variant="standard"
      displayEmpty
      disableUnderline
      value={differs || value === null ? '' : String(value)}
      onChange={(event) => onSet(facet, choices[marks.indexOf(event.target.value)]?.value ?? null)}
      renderValue={() => (differs ? DIFFERS : value === null ? none : print(value))}
      SelectDisplayProps={{ id, 'aria-label': label }}
      sx={{ fontSize: 13, fontWeight: settled ? 700 : 400, minWidth: 0 }}
    >
      {choices.map((choice, at) => (
        <MenuItem key={choice.label} value={marks[at]} dense>
          {choice.label}
        </MenuItem>
      ))}
    </Select>
  );
}

/**
 * A text field that saves on blur or Enter; Escape restores the old value. A text that the facet refuses stays in the
 * field, with what is wrong and the nearest one that it takes, and is never the value of the layer.
 */
function Line({ id, facet, subject, value, differs, settled, onSet }: FieldProps & { readonly id: string }) {
  const { label, hint = '', none, nearest } = editorOf(facet);
  const line = printLine(facet, value);
  const [text, setText] = useState(line);
  const [of, setOf] = useState(`${subject} ${line}`);
  if (of !== `${subject} ${line}`) {
    setOf(`${subject} ${line}`);
    setText(line);
  }
  const [refused, setRefused] = useState<string | null>(null);
  const save = (written: string) => {
    if (written === line) return setRefused(null);
    const parsed = parseLine(facet, written);
    const check = parsed === null ? { value: null } : checkFacet(facet, parsed);
    if ('problem' in check) return setRefused(check.problem);
    setRefused(null);
    onSet(facet, check.value);
  };
  const offer = refused === null ? null : (nearest?.(text.trim()) ?? null);
  const problem = refused !== null && of === `${subject} ${line}` && text !== line ? refused : null;
  return (
    <>
      <InputBase
        fullWidth
        value={text}
        placeholder={differs ? DIFFERS : none}
        title={hint}
        onChange={(event) => setText(event.target.value)}
        onBlur={() => save(text)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') save(text);
          else if (event.key === 'Escape' && text !== line) {
            event.stopPropagation();
            setText(line);
            setRefused(null);
          }
        }}
        inputProps={{
          id,
          'aria-label': label,
          spellCheck: false,
          'aria-description': hint,
          'aria-invalid': problem !== null,
          'aria-describedby': problem === null ? undefined : `${id}-problem`,
        }}
        sx={{
          fontSize: 13,
          fontWeight: settled ? 700 : 400,
          '& input': { py: 0.25, height: 20 },
          '& input:focus': {
            boxShadow: (theme) => `inset 0 -2px 0 ${(theme.vars ?? theme).palette.primary.main}`,
          },
          ...(problem !== null && { '& input': { py: 0.25, height: 20, color: 'error.main' } }),
        }}
      />
      {problem !== null && (
        <Box
          id={`${id}-problem`}
          role="alert"
          sx={{ gridColumn: '1 / -1', order: 1, fontSize: 12, color: 'error.main', lineHeight: 1.3, pb: 0.5 }}
        >
          {problem}{' '}
          {offer !== null && (
            <Button
              size="small"
              color="inherit"
              sx={{ py: 0, minHeight: 24, textDecoration: 'underline' }}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => {
                setText(offer);
                save(offer);
              }}
            >
              Use {offer}
            </Button>
          )}
        </Box>
      )}
    </>
  );
}
