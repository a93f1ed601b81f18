'use client';
import { Alert, Box, Button, LinearProgress, Link as MuiLink, Typography } from '@mui/material';
import NextLink from 'next/link';
import { useRef, useState, type ReactNode } from 'react';
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

const STEPS = [
  ['Read', 'Orden opens the mockup and says what is in it.'],
  ['Sort', 'It decides what each layer becomes, and why. You correct it.'],
  ['Build', 'You get HTML and CSS with pictures, compared with the mockup.'],
] as const;

/**
 * The page of the shelf: mockups may be dropped anywhere on it; the report of a single file is shown as soon as it is
 * read.
 */
export function DropPlace({ children }: { readonly children: ReactNode }) {
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
    <Box
      {...getRootProps({ role: undefined, tabIndex: undefined })}
      sx={{ position: 'relative', flex: 1, minHeight: 0, display: 'flex' }}
    >
      {isDragActive && (
        <Box
          sx={{
            position: 'absolute',
            inset: 8,
            zIndex: 2,
            display: 'grid',
            placeItems: 'center',
            border: '3px dashed',
            borderColor: 'primary.main',
            bgcolor: 'color-mix(in srgb, var(--mui-palette-background-paper) 88%, transparent)',
            pointerEvents: 'none',
          }}
        >
          <Typography variant="h1">Drop to add the mockup</Typography>
        </Box>
      )}
      <Box
        component="main"
        sx={{ flex: 1, overflow: 'auto', px: 3, py: 2.5, display: 'grid', gap: 3, alignContent: 'start' }}
      >
        <Box
          component="section"
          aria-label="Add a mockup"
          sx={{
            p: 2.5,
            border: 2,
            borderStyle: 'dashed',
            borderColor: 'divider',
            bgcolor: 'background.paper',
          }}
        >
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 2.5, flexWrap: 'wrap' }}>
            <Box sx={{ flex: '1 1 320px' }}>
              <Typography variant="h2">From a mockup to a page that a developer is glad to get</Typography>
              <Typography color="text.secondary">
                Drop an SVG, OpenRaster, PNG, JPEG or WebP file anywhere here. Orden works on a copy; your
                file is not changed.
              </Typography>
            </Box>
            <input {...getInputProps({ 'aria-label': 'Mockup file' })} />
            <Button variant="contained" size="medium" onClick={open} disabled={running !== null}>
              Choose a file
            </Button>
          </Box>
          <Box
            component="ol"
            sx={{
              m: 0,
              mt: 2,
              p: 0,
              listStyle: 'none',
              display: 'grid',
              gap: 2,
              gridTemplateColumns: 'repeat(auto-fit, minmax(200px, 1fr))',
            }}
          >
            {STEPS.map(([step, text], at) => (
              <Box component="li" key={step} sx={{ borderTop: 2, borderColor: 'text.primary', pt: 0.75 }}>
                <Typography variant="h3">
                  {at + 1}. {step}
                </Typography>
                <Typography sx={{ fontSize: 13 }}>{text}</Typography>
              </Box>
            ))}
          </Box>
          {running && <RunningReading running={running} />}
          {readings.map(({ id, fileName, report }) => (
            <Typography key={id} sx={{ mt: 1 }}>
              {fileName} was read:{' '}
              {report.screens.length === 1 ? 'one screen' : `${report.screens.length} screens`},{' '}
              {report.findings.length === 1 ? 'one finding' : `${report.findings.length} findings`}.{' '}
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
        {children}
      </Box>
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
