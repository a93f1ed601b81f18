'use client';
import { Box, Button, Link as MuiLink, Typography } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import NextLink from 'next/link';
import type { ReactNode } from 'react';

export type Step = 'read' | 'sort' | 'build';
const STEPS: readonly { readonly step: Step; readonly label: string }[] = [
  { step: 'read', label: 'Read' },
  { step: 'sort', label: 'Sort' },
  { step: 'build', label: 'Build' },
];

interface TopBarProps {
  readonly title: string;
  readonly mockupId?: string;
  readonly step?: Step;
  readonly children?: ReactNode;
}

/** The bar at the top: the title, the steps, and the actions of the page. */
export function TopBar({ title, mockupId, step, children }: TopBarProps) {
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'baseline',
        gap: 2.5,
        px: 2,
        py: 1,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <MuiLink
        component={NextLink}
        href="/"
        underline="hover"
        color="text.primary"
        sx={{ fontWeight: 600, letterSpacing: '0.02em' }}
      >
        Orden
      </MuiLink>
      <Typography variant="h1" noWrap sx={{ minWidth: 0 }}>
        {title}
      </Typography>
      {mockupId && (
        <Box component="nav" aria-label="Steps" sx={{ display: 'flex', gap: 0.5 }}>
          {STEPS.map((entry) => (
            <MuiLink
              key={entry.step}
              component={NextLink}
              href={`/mockups/${mockupId}/${entry.step}`}
              aria-current={entry.step === step ? 'step' : undefined}
              underline="none"
              sx={{
                px: 1.25,
                py: 0.25,
                color: 'text.primary',
                borderBottom: 2,
                borderColor: entry.step === step ? 'primary.main' : 'transparent',
                fontWeight: entry.step === step ? 600 : 400,
                '&:hover': { bgcolor: 'action.hover' },
              }}
            >
              {entry.label}
            </MuiLink>
          ))}
        </Box>
      )}
      <Box sx={{ flex: 1 }} />
      {children}
      <SchemeButton />
    </Box>
  );
}

function SchemeButton() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  return (
    <Button color="inherit" onClick={() => setMode(dark ? 'light' : 'dark')} sx={{ minWidth: 0 }}>
      {dark ? 'Light theme' : 'Dark theme'}
    </Button>
  );
}
