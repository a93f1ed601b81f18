'use client';
import { Box, Button, Typography } from '@mui/material';
import { useSnackbar } from 'notistack';
import type { ReactNode } from 'react';

interface CodeFrameProps {
  readonly title: string;
  /** The text to copy. */
  readonly code: string;
  readonly children: ReactNode;
}

/** Code under a title, with a copy button. */
export function CodeFrame({ title, code, children }: CodeFrameProps) {
  const { enqueueSnackbar } = useSnackbar();
  const copy = async () => {
    try {
      await navigator.clipboard.writeText(code);
      enqueueSnackbar(`${title} copied.`);
    } catch {
      enqueueSnackbar('The browser does not let Orden use the clipboard; select the code and copy it.', {
        variant: 'warning',
      });
    }
  };
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ display: 'flex', flexDirection: 'column', minWidth: 0, minHeight: 0, height: '100%' }}
    >
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          px: 1,
          height: 28,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <Typography noWrap sx={{ fontSize: 12, fontWeight: 600, flex: 1 }}>
          {title}
        </Typography>
        <Button color="inherit" onClick={() => void copy()} sx={{ py: 0 }} aria-label={`Copy ${title}`}>
          Copy
        </Button>
      </Box>
      {children}
    </Box>
  );
}
