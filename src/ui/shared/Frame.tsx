'use client';
import { Box, CssBaseline } from '@mui/material';
import { ThemeProvider } from '@mui/material/styles';
import { SnackbarProvider } from 'notistack';
import { QueryClientProvider } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { createQueryClient } from './queryClient';
import { theme } from './theme';

/** The providers around every page: theme, messages, and what the server was asked. */
export function Frame({ children }: { children: ReactNode }) {
  const [client] = useState(createQueryClient);
  return (
    <ThemeProvider theme={theme}>
      <CssBaseline />
      <QueryClientProvider client={client}>
        <SnackbarProvider maxSnack={3} anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}>
          <Box sx={{ display: 'flex', flexDirection: 'column', height: '100vh', minHeight: 0 }}>
            {children}
          </Box>
        </SnackbarProvider>
      </QueryClientProvider>
    </ThemeProvider>
  );
}
