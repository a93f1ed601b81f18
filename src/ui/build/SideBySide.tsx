'use client';
import { Box, Link as MuiLink, NativeSelect, Typography } from '@mui/material';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import type { BuildResult } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { fileAddress, isLive } from './fileAddress';
import { ScreenPicture } from '../shared/ScreenPicture';
import { useWidth } from '../shared/useWidth';

interface SideBySideProps {
  readonly build: BuildView;
  readonly result: BuildResult;
}

/** Px between page and mockup. */
const GAP = 16;

/** The live page beside the mockup, both at one scale. */
export function SideBySide({ build, result }: SideBySideProps) {
  const [at, setAt] = useState(0);
  const [theme, setTheme] = useState('');
  const { themes = [] } = build.options;
  const page = useRef<HTMLIFrameElement>(null);
  const screen = result.screens[at];
  const pane = useRef<HTMLDivElement>(null);
  const width = screen?.width ?? 1;
  const scale = Math.min(1, (useWidth(pane, width + GAP) - GAP) / 2 / width);
  useEffect(() => showTheme(page.current, theme), [theme]);
  if (!screen) return null;
  const isShown = screen.shown !== undefined || isLive(screen);
  const address = fileAddress(build, screen.shown ?? screen.file);
  const size = { width: screen.width * scale, height: screen.height * scale };
  return (
    <Box
      tabIndex={0}
      role="group"
      aria-label="Page beside mockup"
      sx={{ flex: 1, minHeight: 0, overflow: 'auto', p: 2 }}
    >
      {result.screens.length > 1 && (
        <NativeSelect
          value={at}
          onChange={(event) => setAt(Number(event.target.value))}
          inputProps={{ 'aria-label': 'Screen' }}
          sx={{ mb: 1 }}
        >
          {result.screens.map(({ name }, index) => (
            <option key={index} value={index}>
              {name}
            </option>
          ))}
        </NativeSelect>
      )}
      {themes.length > 0 && (
        <NativeSelect
          value={theme}
          onChange={(event) => setTheme(event.target.value)}
          inputProps={{ 'aria-label': 'Theme of the page' }}
          sx={{ mb: 1, mr: 2 }}
        >
          <option value="">no theme</option>
          {themes.map((each) => (
            <option key={each} value={each}>
              theme {each}
            </option>
          ))}
        </NativeSelect>
      )}
      <Box ref={pane} sx={{ display: 'flex', gap: `${GAP}px`, alignItems: 'flex-start' }}>
        <Side
          title={`Page (${build.options.arrangement})`}
          note={
            <MuiLink href={address} target="_blank" rel="noreferrer" color="inherit">
              Open in a new tab
            </MuiLink>
          }
        >
          <Box sx={{ overflow: 'hidden', boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)', ...size }}>
            {isShown ? (
              <iframe
                ref={page}
                onLoad={() => showTheme(page.current, theme)}
                title="The built page"
                src={address}
                sandbox="allow-same-origin"
                style={{
                  width: screen.width,
                  height: screen.height,
                  border: 0,
                  transform: `scale(${scale})`,
                  transformOrigin: '0 0',
                  background: '#fff',
                }}
              />
            ) : (
              <Typography sx={{ p: 2 }}>
                Nothing here shows what {screen.file} draws; Findings say what is missing.
              </Typography>
            )}
          </Box>
        </Side>
        <Side title="Mockup" note={`${screen.width}×${screen.height} px`}>
          <Box
            sx={{ position: 'relative', ...size, bgcolor: '#fff', boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)' }}
          >
            <ScreenPicture
              src={`/api/builds/${build.id}/picture`}
              sheet={result.sheet}
              part={{ ...screen.origin, width: screen.width, height: screen.height }}
              alt={`The mockup ${screen.name}`}
            />
          </Box>
        </Side>
      </Box>
    </Box>
  );
}

/** A theme is a class of the root element. */
function showTheme(frame: HTMLIFrameElement | null, theme: string): void {
  if (frame?.contentDocument) frame.contentDocument.documentElement.className = theme;
}

function Side({
  title,
  note,
  children,
}: {
  readonly title: string;
  readonly note: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <Box component="section" aria-label={title} sx={{ minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 1 }}>
        <Typography variant="h2">{title}</Typography>
        <Typography component="span" sx={{ fontSize: 12, color: 'text.secondary' }}>
          {note}
        </Typography>
      </Box>
      {children}
    </Box>
  );
}
