import { Box, Button, Typography } from '@mui/material';
import type { NearValues } from '../../core/style/tokens/token';
import { Code, Swatch } from './Swatch';
import type { SayValue } from './useStyle';

/** Pairs that may be slips, each with the offer to write one for both. */
export function NearList({
  near,
  onSay,
}: {
  readonly near: readonly NearValues[];
  readonly onSay: SayValue;
}) {
  return (
    <Box component="section" aria-label="Nearly equal values">
      <Typography variant="h3" component="h2">
        Nearly equal
      </Typography>
      <Typography sx={{ fontSize: 12.5, color: 'text.secondary', mb: 0.5 }}>
        {near.length === 0
          ? 'No two values are so near that one may be a slip.'
          : 'One of each pair may be a slip. Nothing is merged before you say so; the proof shows what it changes.'}
      </Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {near.map(({ kind, kept, other, difference }) => (
          <Box
            component="li"
            key={`${kind} ${other.value}`}
            sx={{
              display: 'flex',
              alignItems: 'center',
              gap: 1,
              fontSize: 12.5,
              py: 0.75,
              borderBottom: 1,
              borderColor: 'divider',
              flexWrap: 'wrap',
            }}
          >
            <Swatch kind={kind} value={other.value} />
            <Code>{other.value}</Code>
            <span>×{other.uses}</span>
            <Swatch kind={kind} value={kept.value} />
            <Code>{kept.value}</Code>
            <span>×{kept.uses}</span>
            <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
              {kind === 'colour' ? `ΔE ${difference.toFixed(1)}` : `${difference} px apart`}
            </Typography>
            <Button
              variant="outlined"
              onClick={() => onSay({ kind, value: other.value }, { into: kept.value })}
              sx={{ ml: 'auto' }}
            >
              Use {kept.value} for both
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  );
}
