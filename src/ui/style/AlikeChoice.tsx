import { Autocomplete, TextField } from '@mui/material';
import type { BookClass } from '../../core/emit/styleBook';

interface AlikeChoiceProps {
  readonly of: BookClass;
  readonly classes: readonly BookClass[];
  /** @param model a layer that wears the class whose look is taken */
  readonly onTake: (model: string) => void;
}

/** Merges a class into another one: its layers take the other's look. */
export function AlikeChoice({ of, classes, onTake }: AlikeChoiceProps) {
  const others = classes.filter(({ name, namedBy }) => namedBy !== null && name !== of.name);
  return (
    <Autocomplete
      size="small"
      options={others}
      value={null}
      blurOnSelect
      getOptionLabel={({ name }) => name}
      getOptionKey={({ name }) => name}
      renderOption={({ key, ...props }, { name, users }) => (
        <li key={key} {...props}>
          .{name}, {users.length === 1 ? 'one use' : `${users.length} uses`}
        </li>
      )}
      onChange={(_, other) => other?.namedBy && onTake(other.namedBy)}
      renderInput={(field) => <TextField {...field} label="Merge into the class" />}
    />
  );
}
