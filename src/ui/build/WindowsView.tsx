'use client';
import { Box, Link as MuiLink, NativeSelect, Typography } from '@mui/material';
import { useRef, useState } from 'react';
import type { BuildResult } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { fileAddress } from './fileAddress';
import { windowProblems, type WindowProblems } from './windowProblems';
import { useWidth } from '../shared/useWidth';

/** The windows of a phone, a tablet, a laptop and a large screen, px (common practice, no source). */
const WIDTHS = [375, 768, 1280, 1920] as const;
const HEIGHT = 1100;

interface WindowsViewProps {
  readonly build: BuildView;
  readonly result: BuildResult;
}

/** The page in four windows at one height, and which of its texts do not stand as they are meant. */
export function WindowsView({ build, result }: WindowsViewProps) {
  const [at, setAt] = useState(0);
  const pane = useRef<HTMLDivElement>(null);
  const room = useWidth(pane, 1200);
  // Wide windows are drawn smaller: each gets the root of its share, so that the narrow ones can be read.
  const roots = WIDTHS.map(Math.sqrt);
  const all = roots.reduce((sum, each) => sum + each, 0);
  const pages = pagesOf(result);
  const page = pages[at] ?? pages[0];
  if (!page) return null;
  const file = page.shown ?? page.file;
  return (
    <Box
      tabIndex={0}
      role="group"
      aria-label="The page in four windows"
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', p: 2 }}
    >
      {pages.length > 1 && (
        <NativeSelect
          value={at}
          onChange={(event) => setAt(Number(event.target.value))}
          inputProps={{ 'aria-label': 'Page' }}
          sx={{ mb: 1 }}
        >
          {pages.map(({ name }, index) => (
            <option key={index} value={index}>
              {name}
            </option>
          ))}
        </NativeSelect>
      )}
      <Box ref={pane} sx={{ display: 'flex', gap: '16px', alignItems: 'flex-start' }}>
        {WIDTHS.map((width, index) => (
          <Window
            key={`${file} ${width}`}
            address={fileAddress(build, file)}
            width={width}
            shown={((room - 16 * (WIDTHS.length - 1)) * roots[index]!) / all}
          />
        ))}
      </Box>
    </Box>
  );
}

/** A page for two screens is one file. */
function pagesOf({ screens }: BuildResult) {
  return screens.filter(({ file }, at) => screens.findIndex((other) => other.file === file) === at);
}

interface WindowProps {
  readonly address: string;
  readonly width: number;
  /** Px that it takes here. */
  readonly shown: number;
}

function Window({ address, width, shown }: WindowProps) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [found, setFound] = useState<WindowProblems | null>(null);
  const scale = shown / width;
  const look = () => {
    const page = frame.current?.contentDocument;
    if (page?.body) void page.fonts.ready.then(() => setFound(windowProblems(page)));
  };
  return (
    <Box component="section" aria-label={`A window of ${width} px`} sx={{ width: shown, flex: 'none' }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.5 }}>
        <Typography variant="h2">{width} px</Typography>
        <MuiLink href={address} target="_blank" rel="noreferrer" color="inherit" sx={{ fontSize: 12 }}>
          Open
        </MuiLink>
      </Box>
      <Box
        sx={{
          overflow: 'hidden',
          boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
          width: shown,
          height: HEIGHT * scale,
          maxHeight: 640,
          bgcolor: '#fff',
        }}
      >
        <iframe
          ref={frame}
          title={`The page at ${width} px`}
          src={address}
          sandbox="allow-same-origin"
          onLoad={look}
          style={{ width, height: HEIGHT, border: 0, transform: `scale(${scale})`, transformOrigin: '0 0' }}
        />
      </Box>
      <Typography role="status" sx={{ fontSize: 12.5, mt: 0.5 }}>
        {found && summary(found)}
      </Typography>
      {found && found.problems.length > 0 && (
        <Box component="ul" sx={{ m: 0, pl: 2, fontSize: 12.5 }}>
          {found.problems.slice(0, 12).map(({ words, what }, at) => (
            <li key={at}>
              {words}: {what}
            </li>
          ))}
          {found.problems.length > 12 && <li>and {found.problems.length - 12} more</li>}
        </Box>
      )}
    </Box>
  );
}

function summary({ texts, problems, sideways }: WindowProblems): string {
  const wide = sideways > 1 ? ` It is ${Math.round(sideways)} px wider than its window.` : '';
  if (problems.length === 0) return `All of ${texts} texts stand as they are meant.${wide}`;
  return `${problems.length} of ${texts} texts are cut off or lie over others.${wide}`;
}
