import { Box } from '@mui/material';
import type { StyleValue } from '../../core/look/styleValue';
import { MONO } from '../shared/theme';

/** A value as CSS writes it. */
export function Code({ children }: { readonly children: string }) {
  return (
    <Box component="code" sx={{ fontFamily: MONO, fontSize: 12.5, overflowWrap: 'anywhere' }}>
      {children}
    </Box>
  );
}

/** A value to look at. */
export function Swatch({ kind, value }: StyleValue) {
  const box = {
    width: 40,
    height: 22,
    flex: 'none',
    border: '1px solid rgb(0 0 0 / 18%)',
    bgcolor: '#fff',
  } as const;
  if (kind === 'colour')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ background: value }}
        sx={{ ...box, display: 'inline-block' }}
      />
    );
  if (kind === 'text')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ fontSize: `min(${value}, 28px)` }}
        sx={{ lineHeight: 1, width: 40, flex: 'none', display: 'inline-block' }}
      >
        Ag
      </Box>
    );
  if (kind === 'font')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ fontFamily: value }}
        sx={{ fontSize: 18, width: 40, flex: 'none' }}
      >
        Ag
      </Box>
    );
  if (kind === 'space')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ width: `min(${value}, 56px)` }}
        sx={{ height: 10, bgcolor: 'primary.main', flex: 'none', display: 'inline-block' }}
      />
    );
  if (kind === 'radius')
    return (
      <Box
        aria-hidden
        component="span"
        style={{ borderTopLeftRadius: value }}
        sx={{
          ...box,
          borderRight: 0,
          borderBottom: 0,
          borderColor: 'text.primary',
          bgcolor: 'transparent',
          display: 'inline-block',
        }}
      />
    );
  return (
    <Box
      aria-hidden
      component="span"
      style={{ boxShadow: value }}
      sx={{ ...box, border: 0, m: 0.5, display: 'inline-block' }}
    />
  );
}
