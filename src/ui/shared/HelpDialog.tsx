'use client';
import { Box, Button, Dialog, DialogActions, DialogContent, DialogTitle, Typography } from '@mui/material';
import { useEffect, useEffectEvent } from 'react';
import { KEYS } from '../sort/keys';
import { isOverlaid, isTyping } from './isTyping';
import { MONO } from './theme';

/** Opens the help with `?`, unless somebody types. */
export function useHelpKey(open: () => void): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    if ((event.key !== '?' && event.key !== 'F1') || isTyping(event.target) || isOverlaid()) return;
    event.preventDefault();
    open();
  });
  useEffect(() => {
    const listener = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
}

const STEPS = [
  ['Read', 'Add a mockup: SVG, OpenRaster, PNG, JPEG or WebP. See what is in it, and what needs attention.'],
  [
    'Sort',
    'Orden decides what each layer becomes, and says why: an element (E), a picture (P), a sample of a style (S), or nothing (–). Change what it guessed wrong.',
  ],
  [
    'Build',
    'Get the page with its style sheet, pictures and fonts; see how far it is from the mockup; download it.',
  ],
] as const;

/** What Orden does, and its keys. */
export function HelpDialog({ onClose }: { readonly onClose: () => void }) {
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="md" aria-labelledby="help-title">
      <DialogTitle id="help-title">Help and keys</DialogTitle>
      <DialogContent tabIndex={0}>
        <Box
          component="ol"
          sx={{
            m: 0,
            p: 0,
            mb: 2,
            listStyle: 'none',
            display: 'grid',
            gridTemplateColumns: '1fr 1fr 1fr',
            gap: 2,
          }}
        >
          {STEPS.map(([name, text]) => (
            <li key={name}>
              <Typography variant="h3" component="h3">
                {name}
              </Typography>
              <Typography sx={{ fontSize: 13 }}>{text}</Typography>
            </li>
          ))}
        </Box>
        <Box sx={{ columnWidth: 260, columnGap: 3 }}>
          {KEYS.map(({ group, keys }) => (
            <Box key={group} sx={{ breakInside: 'avoid', mb: 1.5 }}>
              <Typography variant="h3" component="h3">
                {group}
              </Typography>
              <Box
                component="dl"
                sx={{ m: 0, display: 'grid', gridTemplateColumns: 'auto 1fr', gap: '2px 10px', fontSize: 13 }}
              >
                {keys.map(([key, name]) => (
                  <Box key={name} sx={{ display: 'contents' }}>
                    <Box component="dt" sx={{ fontFamily: MONO, fontSize: 12, whiteSpace: 'nowrap' }}>
                      {key}
                    </Box>
                    <Box component="dd" sx={{ m: 0 }}>
                      {name}
                    </Box>
                  </Box>
                ))}
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button variant="contained" autoFocus onClick={onClose}>
          Close
        </Button>
      </DialogActions>
    </Dialog>
  );
}
