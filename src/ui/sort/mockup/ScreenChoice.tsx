import { Box, NativeSelect, Typography } from '@mui/material';
import type { Screen } from '../../../core/mockup/mockup';

interface ScreenChoiceProps {
  readonly screens: readonly Screen[];
  readonly screen: Screen;
  readonly onChoose: (key: string) => void;
}

/** The shown screen and its size; a choice when there are several. */
export function ScreenChoice({ screens, screen, onChoose }: ScreenChoiceProps) {
  const size = `${screen.width}×${screen.height} px`;
  if (screens.length === 1) {
    return (
      <Typography noWrap sx={{ fontSize: 12, color: 'text.secondary', flex: 1 }}>
        {screen.name}, {size}
      </Typography>
    );
  }
  return (
    <Box sx={{ flex: 1, minWidth: 0, display: 'flex', alignItems: 'center', gap: 1, fontSize: 12 }}>
      <NativeSelect
        value={screen.id}
        onChange={(event) => onChoose(event.target.value)}
        inputProps={{ 'aria-label': 'Screen' }}
        sx={{ fontSize: 12, minWidth: 0 }}
      >
        {screens.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </NativeSelect>
      <Typography noWrap component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
        {size}, {screens.length} screens
      </Typography>
    </Box>
  );
}
