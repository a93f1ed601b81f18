import { Box, Chip } from '@mui/material';

interface ForbiddenNamesProps {
  readonly names: readonly string[];
  readonly onChange: (names: readonly string[]) => void;
}

/** The names that no class may have; each can be allowed again. */
export function ForbiddenNames({ names, onChange }: ForbiddenNamesProps) {
  if (names.length === 0) return null;
  return (
    <Box
      component="section"
      aria-label="Names that no class may have"
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, alignItems: 'center', px: 1.5, pt: 1, fontSize: 13 }}
    >
      No class is called
      {names.map((name) => (
        <Chip
          key={name}
          size="small"
          label={name}
          onDelete={() => onChange(names.filter((each) => each !== name))}
          title="Delete allows the name again"
        />
      ))}
    </Box>
  );
}
