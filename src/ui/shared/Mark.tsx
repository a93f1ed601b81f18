import { Box } from '@mui/material';

/** The mark of Orden: lines of type, the last sort of one in the spot colour. */
export function Mark() {
  return (
    <Box
      component="svg"
      viewBox="0 0 20 20"
      aria-hidden
      sx={{ width: 20, height: 20, flex: 'none', display: 'block' }}
    >
      <Box component="path" d="M1 3h18v3H1zM1 8.5h12v3H1zM1 14h18v3H1z" sx={{ fill: 'currentColor' }} />
      <Box
        component="path"
        d="M15 8.5h4v3h-4z"
        sx={{ fill: (theme) => (theme.vars ?? theme).palette.primary.main }}
      />
    </Box>
  );
}
