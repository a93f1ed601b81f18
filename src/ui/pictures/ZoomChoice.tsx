import { ToggleButton, ToggleButtonGroup } from '@mui/material';

/** Px of the window for one px of a picture. */
const ZOOMS = [1, 2, 4, 8] as const;
export type Zoom = (typeof ZOOMS)[number];

/** What is clear in a picture shows a weave of paper. */
export const CLEAR_GROUND = 'repeating-conic-gradient(#e6dfcf 0 25%, #fffdf8 0 50%) 0 0 / 16px 16px';

interface ZoomChoiceProps {
  readonly value: Zoom;
  readonly onChange: (next: Zoom) => void;
}

/** How large the px of a picture are shown. */
export function ZoomChoice({ value, onChange }: ZoomChoiceProps) {
  return (
    <ToggleButtonGroup
      size="small"
      exclusive
      value={value}
      onChange={(_, next: Zoom | null) => next !== null && onChange(next)}
      aria-label="Zoom"
    >
      {ZOOMS.map((each) => (
        <ToggleButton key={each} value={each} sx={{ py: 0.25, textTransform: 'none' }}>
          {each}:1
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
