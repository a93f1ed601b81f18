import { Box, NativeSelect, Typography } from '@mui/material';
import { useState } from 'react';
import { LONGEST_TITLE } from '../../core/page/pageTitle';
import type { Screen } from '../../core/mockup/mockup';
import { KeptField } from '../shared/KeptField';

interface PageTitlesProps {
  readonly screens: readonly Pick<Screen, 'id' | 'name'>[];
  /** By the id of the screen; absent for an automatic title. */
  readonly value: Readonly<Record<string, string>>;
  readonly onChange: (titles: Readonly<Record<string, string>>) => void;
}

/** The title of each page; kept when the field is left. */
export function PageTitles({ screens, value, onChange }: PageTitlesProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  const screen = screens.find((each) => each.id === chosen) ?? screens[0];
  if (!screen) return null;
  const said = value[screen.id] ?? '';
  const keep = (title: string) => {
    const { [screen.id]: _, ...others } = value;
    onChange(title === '' ? others : { ...others, [screen.id]: title });
    return null;
  };
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 0.75 }}>
      <Typography component="span" aria-hidden sx={{ fontSize: 12, color: 'text.secondary' }}>
        Title
      </Typography>
      {screens.length > 1 && (
        <NativeSelect
          value={screen.id}
          onChange={(event) => setChosen(event.target.value)}
          inputProps={{ 'aria-label': 'Page with this title' }}
          sx={{ fontSize: 13, maxWidth: 120 }}
        >
          {screens.map((each) => (
            <option key={each.id} value={each.id}>
              {each.name}
            </option>
          ))}
        </NativeSelect>
      )}
      <Box sx={{ width: 150 }}>
        <KeptField
          key={screen.id}
          label="Title"
          value={said}
          placeholder="its first heading"
          hint="The title of the page in the tab of the browser. Empty: its first heading, or the name of the screen."
          most={LONGEST_TITLE}
          onKeep={keep}
        />
      </Box>
    </Box>
  );
}
