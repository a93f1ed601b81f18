import { Box, Checkbox, FormControlLabel, Typography } from '@mui/material';
import { TARGETS, TARGET_NAMES, type TargetName } from '../../core/emit/targets';
import { Choice } from './Choice';

interface TargetChoiceProps {
  readonly value: TargetName;
  readonly also: readonly TargetName[];
  readonly onChange: (target: TargetName, also: readonly TargetName[]) => void;
}

/** The kind of code that is shown here, and those that are built together with it. */
export function TargetChoice({ value, also, onChange }: TargetChoiceProps) {
  const choose = (next: string) => {
    const target = TARGET_NAMES.find((name) => name === next) ?? value;
    // What was shown before is still built where several are.
    const others = also.length > 0 ? [...also.filter((name) => name !== target), value] : [];
    onChange(target, inOrder(others));
  };
  return (
    <Box role="group" aria-label="Code" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <Choice label="Code" value={value} onChange={choose}>
        {TARGET_NAMES.map((name) => (
          <option key={name} value={name}>
            {TARGETS[name].label}
          </option>
        ))}
      </Choice>
      <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
        and
      </Typography>
      {TARGET_NAMES.filter((name) => name !== value).map((name) => (
        <FormControlLabel
          key={name}
          label={TARGETS[name].label}
          sx={{ m: 0, '& .MuiFormControlLabel-label': { fontSize: 13 } }}
          control={
            <Checkbox
              size="small"
              sx={{ p: 0.25 }}
              checked={also.includes(name)}
              onChange={(_, isChosen) =>
                onChange(value, inOrder(isChosen ? [...also, name] : also.filter((each) => each !== name)))
              }
            />
          }
        />
      ))}
    </Box>
  );
}

function inOrder(names: readonly TargetName[]): readonly TargetName[] {
  return TARGET_NAMES.filter((name) => names.includes(name));
}
