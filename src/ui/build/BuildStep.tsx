'use client';
import { Alert, Box, Button, LinearProgress, Typography } from '@mui/material';
import { useMemo, useState } from 'react';
import type { Screen } from '../../core/mockup/mockup';
import { pairsOf } from '../../core/page/join/pairs';
import type { Arrangement } from '../../core/page/frame';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { BuildView } from '../../server/useCases/builds';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { BuildOptions, type BuildChoice } from './BuildOptions';
import { Built } from './Built';
import { useBuild } from './useBuild';

const ARRANGEMENT_WORDS: Readonly<Record<Arrangement, string>> = {
  nested: 'Every element stands in its group, as the layers do.',
  fixed: 'Every element stands on the screen itself.',
  flow: 'Rows, columns and grids, as the boxes stand; texts may grow and the window may be narrower or wider.',
};

/** The Build step: build the page, compare it with the mockup, read its code, download it. */
export function BuildStep({ mockupId }: { readonly mockupId: string }) {
  const opened = useResource<OpenedMockup>(`/api/mockups/${mockupId}`);
  const earlier = useResource<{ builds: BuildView[] }>(`/api/mockups/${mockupId}/builds`);
  const { build, builds, problem, start, stop } = useBuild(mockupId, earlier.data?.builds ?? null);
  const [choice, setChoice] = useState<BuildChoice>({ arrangement: 'flow' });
  const screens = useMemo(() => (opened.data ? screensIn(opened.data) : []), [opened.data]);
  const running = build?.state === 'waiting' || build?.state === 'running';
  return (
    <>
      <TopBar title={opened.data?.mockup.name ?? 'Build'} mockupId={mockupId} step="build" />
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        <Box
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 2,
            px: 2,
            py: 1,
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <BuildOptions
            value={choice}
            onChange={setChoice}
            pairs={pairsOf(screens)}
            screens={screens.length}
          />
          <Typography sx={{ fontSize: 12, color: 'text.secondary', flex: 1 }}>
            {ARRANGEMENT_WORDS[choice.arrangement]}
          </Typography>
          {running && <Button onClick={() => void stop()}>Stop</Button>}
          <Button variant="contained" disabled={running} onClick={() => void start(choice)}>
            Build the page
          </Button>
        </Box>
        {running && <Progress build={build} />}
        {(problem ?? opened.problem) && <Alert severity="error">{problem ?? opened.problem}</Alert>}
        {build?.state === 'failed' && <Alert severity="error">The build failed: {build.problem}</Alert>}
        {build?.state === 'cancelled' && (
          <Alert severity="info">The build was stopped; nothing of it was kept.</Alert>
        )}
        {build?.state === 'done' && build.result && opened.data && (
          <Built key={build.id} build={build} result={build.result} earlier={builds} />
        )}
        {!build && earlier.data && (
          <Typography sx={{ p: 3, color: 'text.secondary' }}>
            Nothing is built yet. Choose how the page is arranged and build it.
          </Typography>
        )}
      </Box>
    </>
  );
}

function screensIn({ mockup, tags }: OpenedMockup): readonly Screen[] {
  return applyStructuralTags(mockup, new Map(Object.entries(tags))).screens;
}

function Progress({ build }: { readonly build: BuildView }) {
  const share = build.total > 0 ? (build.done / build.total) * 100 : null;
  const says = build.total > 0 ? `Building: ${build.done} of ${build.total} layers` : 'Building';
  return (
    <Box role="status" sx={{ px: 2, py: 1 }}>
      <Typography sx={{ fontSize: 12 }}>{says}</Typography>
      <LinearProgress
        aria-label={says}
        {...(share === null ? {} : { variant: 'determinate', value: share })}
      />
    </Box>
  );
}
