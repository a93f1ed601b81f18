'use client';
import { Alert, Box, Button, LinearProgress, Typography } from '@mui/material';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { request, sentence } from '../shared/request';

interface Reading {
  readonly name: string;
  readonly controller: AbortController;
}

/** Where mockups are dropped or chosen; a single one is opened as soon as it is read. */
export function DropPlace({ onAdded }: { readonly onAdded: () => void }) {
  const router = useRouter();
  const [reading, setReading] = useState<Reading | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const busy = useRef(false);

  const take = async (files: readonly File[]) => {
    if (busy.current) return;
    busy.current = true;
    const refused: string[] = [];
    let opened: string | null = null;
    for (const file of files) {
      const controller = new AbortController();
      setReading({ name: file.name, controller });
      try {
        const address = `/api/projects?name=${encodeURIComponent(file.name)}`;
        const { mockupId } = await request<{ mockupId: string }>(address, {
          method: 'POST',
          body: file,
          signal: controller.signal,
        });
        opened = mockupId;
      } catch (error) {
        if (!controller.signal.aborted) refused.push(`${file.name}: ${sentence(error)}`);
      }
    }
    busy.current = false;
    setReading(null);
    setProblems(refused);
    onAdded();
    if (files.length === 1 && opened !== null) router.push(`/mockups/${opened}/sort`);
  };

  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    onDrop: (files) => void take(files),
    noClick: true,
    noKeyboard: true,
  });
  return (
    <Box component="section" aria-label="Read a mockup">
      <Box
        {...getRootProps()}
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          p: 2,
          border: 2,
          borderStyle: 'dashed',
          borderColor: isDragActive ? 'primary.main' : 'divider',
          bgcolor: isDragActive ? 'action.hover' : 'background.paper',
        }}
      >
        <input {...getInputProps({ 'aria-label': 'Mockup file' })} />
        <Button variant="contained" onClick={open} disabled={reading !== null}>
          Read a mockup
        </Button>
        <Typography color="text.secondary">
          Choose an SVG, OpenRaster, PNG, JPEG or WebP file, or drop it here. It is copied; your own file
          stays as it is.
        </Typography>
      </Box>
      {reading && (
        <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1 }}>
          <Typography noWrap>Reading {reading.name}</Typography>
          <LinearProgress aria-label={`Reading ${reading.name}`} sx={{ flex: 1 }} />
          <Button onClick={() => reading.controller.abort()}>Stop</Button>
        </Box>
      )}
      {problems.map((problem) => (
        <Alert
          key={problem}
          severity="error"
          sx={{ mt: 1 }}
          onClose={() => setProblems((all) => all.filter((one) => one !== problem))}
        >
          {problem}
        </Alert>
      ))}
    </Box>
  );
}
