'use client';
import DarkModeOutlined from '@mui/icons-material/DarkModeOutlined';
import HelpOutline from '@mui/icons-material/HelpOutlineOutlined';
import LightModeOutlined from '@mui/icons-material/LightModeOutlined';
import { Box, IconButton, Link as MuiLink, Tooltip, Typography } from '@mui/material';
import { useColorScheme } from '@mui/material/styles';
import NextLink from 'next/link';
import { useState, type ReactNode } from 'react';
import { HelpDialog, useHelpKey } from './HelpDialog';
import { Mark } from './Mark';

export type Step = 'read' | 'sort' | 'style' | 'pictures' | 'build';
const STEPS: readonly { readonly step: Step; readonly label: string }[] = [
  { step: 'read', label: 'Read' },
  { step: 'sort', label: 'Sort' },
  { step: 'style', label: 'Style' },
  { step: 'pictures', label: 'Pictures' },
  { step: 'build', label: 'Build' },
];

interface TopBarProps {
  readonly title: string;
  readonly mockupId?: string;
  readonly step?: Step;
  readonly children?: ReactNode;
}

/** The bar at the top: the title, the steps, and the actions of the page. It names the window, too. */
export function TopBar({ title, mockupId, step, children }: TopBarProps) {
  const label = STEPS.find((entry) => entry.step === step)?.label;
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        px: 2,
        minHeight: 48,
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: 'background.paper',
      }}
    >
      <title>{[title, label, 'Orden'].filter(Boolean).join(' – ')}</title>
      <MuiLink
        component={NextLink}
        href="/"
        underline="none"
        color="text.primary"
        sx={{ display: 'flex', alignItems: 'center', gap: 1, fontWeight: 600, fontSize: 15, minHeight: 24 }}
      >
        <Mark />
        Orden
      </MuiLink>
      <Typography variant="h1" noWrap title={title} sx={{ minWidth: 0 }}>
        {title}
      </Typography>
      {mockupId && (
        <Box component="nav" aria-label="Steps" sx={{ display: 'flex', alignSelf: 'stretch' }}>
          {STEPS.map((entry) => (
            <MuiLink
              key={entry.step}
              component={NextLink}
              href={`/mockups/${mockupId}/${entry.step}`}
              aria-current={entry.step === step ? 'step' : undefined}
              underline="none"
              sx={{
                display: 'flex',
                alignItems: 'center',
                px: 1.5,
                color: 'text.primary',
                fontSize: 14,
                borderBottom: 3,
                borderTop: '3px solid transparent',
                borderColor: entry.step === step ? 'primary.main' : 'transparent',
                fontWeight: entry.step === step ? 600 : 400,
                '&:hover': { bgcolor: 'action.hover' },
                '&:focus-visible': { outlineOffset: -2 },
              }}
            >
              {entry.label}
            </MuiLink>
          ))}
        </Box>
      )}
      <Box sx={{ flex: 1 }} />
      {children}
      <Help />
      <SchemeButton />
    </Box>
  );
}

function Help() {
  const [isOpen, setOpen] = useState(false);
  useHelpKey(() => setOpen(true));
  return (
    <>
      <Tooltip title="Help and keys (?)">
        <IconButton size="small" color="inherit" aria-label="Help and keys" onClick={() => setOpen(true)}>
          <HelpOutline fontSize="small" />
        </IconButton>
      </Tooltip>
      {isOpen && <HelpDialog onClose={() => setOpen(false)} />}
    </>
  );
}

function SchemeButton() {
  const { mode, systemMode, setMode } = useColorScheme();
  const dark = (mode === 'system' ? systemMode : mode) === 'dark';
  const label = dark ? 'Light theme' : 'Dark theme';
  return (
    <Tooltip title={label}>
      <IconButton
        size="small"
        color="inherit"
        aria-label={label}
        onClick={() => setMode(dark ? 'light' : 'dark')}
      >
        {dark ? <LightModeOutlined fontSize="small" /> : <DarkModeOutlined fontSize="small" />}
      </IconButton>
    </Tooltip>
  );
}
