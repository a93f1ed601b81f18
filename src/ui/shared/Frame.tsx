'use client';
import { Box, CssBaseline } from '@mui/material';
import { ThemeProvider } from '@mui/material/styles';
import { SnackbarProvider } from 'notistack';
import type { ReactNode } from 'react';
import { theme } from './theme';

/** The providers around every page: theme and messages. */
export function Frame({ children }: { children: ReactNode }) {
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <SnackbarProvider maxSnack={3} anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}>
        <Box sx={{ display: 'flex', flexDirection: 'column', height: '100vh', minHeight: 0 }}>{children}</Box>
      </SnackbarProvider>
    </ThemeProvider>
  );
}
