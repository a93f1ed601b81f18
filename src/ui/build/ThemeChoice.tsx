import { Box, Checkbox, FormControlLabel, NativeSelect, Typography } from '@mui/material';
import { SCHEMES, type Schemes } from '../../core/style/styleSheet';

interface ThemeChoiceProps {
  readonly all: readonly string[];
  readonly value: readonly string[];
  readonly schemes: Schemes;
  readonly onChange: (themes: readonly string[], schemes: Schemes) => void;
}

/** The themes that are written, since every one costs bytes, and those that light or dark systems show by themselves. */
export function ThemeChoice({ all, value, schemes, onChange }: ThemeChoiceProps) {
  const choose = (theme: string, isChosen: boolean) => {
    const themes = all.filter((each) => (each === theme ? isChosen : value.includes(each)));
    onChange(themes, isChosen ? schemes : without(theme, schemes));
  };
  const follow = (theme: string, scheme: string) => {
    const others = without(theme, schemes);
    const known = SCHEMES.find((each) => each === scheme);
    onChange(value, known ? { ...others, [known]: theme } : others);
  };
  return (
    <Box role="group" aria-label="Themes" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
        Themes
      </Typography>
      {all.map((theme) => (
        <Box key={theme} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <FormControlLabel
            label={theme}
            sx={{ m: 0, '& .MuiFormControlLabel-label': { fontSize: 13 } }}
            control={
              <Checkbox
                size="small"
                sx={{ p: 0.25 }}
                checked={value.includes(theme)}
                onChange={(_, checked) => choose(theme, checked)}
              />
            }
          />
          {value.includes(theme) && (
            <NativeSelect
              value={SCHEMES.find((scheme) => schemes[scheme] === theme) ?? ''}
              onChange={(event) => follow(theme, event.target.value)}
              inputProps={{ 'aria-label': `When the theme ${theme} is shown` }}
              sx={{ fontSize: 12 }}
            >
              <option value="">by its class</option>
              {SCHEMES.map((scheme) => (
                <option key={scheme} value={scheme}>
                  and on {scheme} systems
                </option>
              ))}
            </NativeSelect>
          )}
        </Box>
      ))}
    </Box>
  );
}

function without(theme: string, schemes: Schemes): Schemes {
  return Object.fromEntries(Object.entries(schemes).filter(([, each]) => each !== theme));
}
