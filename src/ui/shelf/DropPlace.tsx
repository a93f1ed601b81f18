'use client';
import { Alert, Box, Button, LinearProgress, Link as MuiLink, Typography } from '@mui/material';
import NextLink from 'next/link';
import { useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import type { ReadingView } from '../../server/useCases/readFile';
import { request, sentence } from '../shared/request';
import { primeResource } from '../shared/useResource';
import { useReadingProgress } from './useReadingProgress';

interface Running {
  readonly id: string;
  readonly name: string;
  readonly controller: AbortController;
}

/** The drop zone for mockups; the report of a single file is shown as soon as it is read. */
export function DropPlace() {
  const [running, setRunning] = useState<Running | null>(null);
  const [problems, setProblems] = useState<readonly string[]>([]);
  const [readings, setReadings] = useState<readonly ReadingView[]>([]);
  const busy = useRef(false);

  const take = async (files: readonly File[]) => {
    if (busy.current || files.length === 0) return;
    busy.current = true;
    const refused: string[] = [];
    const read: ReadingView[] = [];
    for (const file of files) {
      const controller = new AbortController();
      const id = crypto.randomUUID();
      setRunning({ id, name: file.name, controller });
      try {
        const address = `/api/readings?id=${id}&name=${encodeURIComponent(file.name)}`;
        read.push(
          await request<ReadingView>(address, { method: 'POST', body: file, signal: controller.signal }),
        );
      } catch (error) {
        if (!controller.signal.aborted) refused.push(`${file.name}: ${sentence(error)}`);
      }
    }
    busy.current = false;
    setRunning(null);
    setProblems(refused);
    const [first] = read;
    if (files.length === 1 && first) {
      primeResource(`/api/readings/${first.id}`, first);
      new Image().src = `/api/readings/${first.id}/picture`;
      // The shelf shows the report itself, without another request.
      window.history.pushState(null, '', `/readings/${first.id}`);
    } else setReadings((known) => [...known, ...read]);
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
        <Button variant="contained" onClick={open} disabled={running !== null}>
          Read a mockup
        </Button>
        <Typography color="text.secondary">
          Choose an SVG, OpenRaster, PNG, JPEG or WebP file, or drop it here. It is copied; your own file
          stays as it is.
        </Typography>
      </Box>
      {running && <RunningReading running={running} />}
      {readings.map(({ id, fileName, report }) => (
        <Typography key={id} sx={{ mt: 1 }}>
          {fileName} was read:{' '}
          {report.screens.length === 1 ? 'one screen' : `${report.screens.length} screens`},{' '}
          {report.findings.length} findings.{' '}
          <MuiLink component={NextLink} href={`/readings/${id}`}>
            See the report of {fileName}
          </MuiLink>
        </Typography>
      ))}
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

function RunningReading({ running }: { readonly running: Running }) {
  const { done, total, before } = useReadingProgress(running.id);
  const known = total > 0;
  return (
    <Box role="status" sx={{ display: 'flex', alignItems: 'center', gap: 2, mt: 1 }}>
      <Typography noWrap>
        Reading {running.name}
        {before > 0 && `: waits for ${before === 1 ? 'one file' : `${before} files`} before it`}
        {known && `: ${done.toLocaleString('en')} of ${total.toLocaleString('en')} layers`}
      </Typography>
      <LinearProgress
        aria-label={`Reading ${running.name}`}
        variant={known ? 'determinate' : 'indeterminate'}
        value={known ? (done / total) * 100 : undefined}
        sx={{ flex: 1 }}
      />
      <Button onClick={() => running.controller.abort()}>Stop</Button>
    </Box>
  );
}
