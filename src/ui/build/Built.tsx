'use client';
import { Box, Button, Tab, Tabs } from '@mui/material';
import { useState } from 'react';
import type { BuildResult } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { SideBySide } from './SideBySide';
import { BuiltFiles } from './BuiltFiles';
import { PictureTable } from './PictureTable';
import { isLive } from './fileAddress';
import { LinkedView } from './LinkedView';
import { clockWords } from '../shared/timeWords';
import { ProofView } from './ProofView';
import { WindowsView } from './WindowsView';
import { BuiltFindings } from './BuiltFindings';

interface BuiltProps {
  readonly build: BuildView;
  readonly result: BuildResult;
  /** Earlier builds, the newest first. */
  readonly earlier: readonly BuildView[];
  /** True when what would be built now is another page. */
  readonly isOld: boolean;
}

type View = 'page' | 'windows' | 'proof' | 'links' | 'files' | 'pictures' | 'findings';

/** A finished build: the page beside the mockup, its files, and its findings. */
export function Built({ build, result, earlier, isOld }: BuiltProps) {
  const [view, setView] = useState<View>('page');
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', px: 2, borderBottom: 1, borderColor: 'divider' }}>
        <Tabs
          value={view}
          onChange={(_, next: View) => setView(next)}
          aria-label="What was built"
          sx={{ flex: 1, minHeight: 36, '& .MuiTab-root': { minHeight: 36, py: 0 } }}
        >
          <Tab value="page" id="tab-page" aria-controls="panel-page" label="Page and mockup" />
          {result.screens.every(isLive) && (
            <Tab value="windows" id="tab-windows" aria-controls="panel-windows" label="Windows" />
          )}
          <Tab value="proof" id="tab-proof" aria-controls="panel-proof" label="Proof" />
          <Tab value="links" id="tab-links" aria-controls="panel-links" label="Code, traced" />
          <Tab
            value="files"
            id="tab-files"
            aria-controls="panel-files"
            label={`Files (${result.files.length})`}
          />
          <Tab
            value="pictures"
            id="tab-pictures"
            aria-controls="panel-pictures"
            label={`Pictures (${result.pictures.length})`}
          />
          <Tab
            value="findings"
            id="tab-findings"
            aria-controls="panel-findings"
            label={`Findings (${result.findings.length})`}
          />
        </Tabs>
        <Button variant="outlined" href={`/api/builds/${build.id}/package`} download>
          {isOld ? `Download the old build of ${clockWords(build.createdAt)}` : 'Download as ZIP'}
        </Button>
      </Box>
      <Box
        role="tabpanel"
        id={`panel-${view}`}
        aria-labelledby={`tab-${view}`}
        sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}
      >
        {view === 'page' && <SideBySide build={build} result={result} />}
        {view === 'windows' && <WindowsView build={build} result={result} />}
        {view === 'proof' && <ProofView key={build.id} build={build} />}
        {view === 'links' && <LinkedView key={build.id} build={build} result={result} />}
        {view === 'files' && <BuiltFiles key={build.id} build={build} result={result} earlier={earlier} />}
        {view === 'pictures' && <PictureTable build={build} pictures={result.pictures} />}
        {view === 'findings' && <BuiltFindings findings={result.findings} mockupId={build.mockupId} />}
      </Box>
    </Box>
  );
}
