'use client';
import { Alert, Box, Button, LinearProgress, Typography } from '@mui/material';
import equal from 'fast-deep-equal';
import { useSnackbar } from 'notistack';
import { useMemo, useState } from 'react';
import type { ConvertOptions } from '../../core/convert';
import { TARGETS } from '../../core/emit/targets';
import { usualSettings } from '../../core/emit/targetOptions';
import type { Screen } from '../../core/mockup/mockup';
import { pairsOf } from '../../core/page/join/pairs';
import { plainFrame, USUAL_LANGUAGE, type Arrangement } from '../../core/page/frame';
import { themeNames } from '../../core/style/themes/themeNames';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import type { BuildView } from '../../server/useCases/builds';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import { USUAL_OPTIONS } from '../../core/usualOptions';
import { keepOptions } from '../shared/buildOptions';
import { sentence } from '../shared/request';
import { clockWords } from '../shared/timeWords';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { BuildOptions } from './BuildOptions';
import { Built } from './Built';
import { useBuild } from './useBuild';

const ARRANGEMENT_WORDS: Readonly<Record<Arrangement, string>> = {
  nested: 'Every element stands at its coordinates in its group, as the layers do.',
  fixed: 'Every element stands at its coordinates on the screen.',
  flow: 'Flexible rows, columns and grids: texts and the window may grow and shrink.',
};

/** The Build step: build the page, compare it with the mockup, read its code, download it. */
export function BuildStep({ mockupId }: { readonly mockupId: string }) {
  const { enqueueSnackbar } = useSnackbar();
  const opened = useResource<OpenedMockup>(`/api/mockups/${mockupId}`);
  const earlier = useResource<{ builds: BuildView[] }>(`/api/mockups/${mockupId}/builds`);
  const [chosen, setChosen] = useState<ConvertOptions | null>(null);
  const options = chosen ?? opened.data?.options ?? USUAL_OPTIONS;
  const { build, builds, problem, start, stop } = useBuild(
    mockupId,
    earlier.data?.builds ?? null,
    options.target,
  );
  const choose = (next: ConvertOptions) => {
    setChosen(next);
    keepOptions(mockupId, next).catch((error: unknown) =>
      enqueueSnackbar(`The options were not saved. ${sentence(error)}`, { variant: 'error' }),
    );
  };
  const screens = useMemo(() => (opened.data ? screensIn(opened.data) : []), [opened.data]);
  const themes = useMemo(
    () => (opened.data ? themeNames(opened.data.mockup, new Map(Object.entries(opened.data.tags))) : []),
    [opened.data],
  );
  const running = build?.state === 'waiting' || build?.state === 'running';
  const age = build?.state === 'done' ? ageOf(build, options) : null;
  return (
    <>
      <TopBar title={opened.data?.project ?? 'Build'} mockupId={mockupId} step="build" />
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
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <BuildOptions
              value={options}
              onChange={choose}
              pairs={pairsOf(screens)}
              themes={themes}
              screens={screens}
            />
            <Typography noWrap role="status" sx={{ fontSize: 12, color: 'text.secondary', mt: 0.25 }}>
              {build?.state === 'done' && age && (
                <>
                  <b>
                    Built {clockWords(build.createdAt)}, {optionWords(build.options)}
                    {age.isOld ? ': old, ' : ', '}
                  </b>
                  {age.words}.{' '}
                </>
              )}
              {ARRANGEMENT_WORDS[options.arrangement]}
            </Typography>
          </Box>
          {running && <Button onClick={stop}>Stop</Button>}
          <Button
            variant={age && !age.isOld ? 'outlined' : 'contained'}
            // It keeps the focus while the page is built.
            aria-disabled={running || !opened.data}
            onClick={() => !running && opened.data && start(options)}
          >
            {build?.state === 'done' ? 'Build again' : 'Build the page'}
          </Button>
        </Box>
        {running && <Progress build={build} />}
        {(problem ?? opened.problem) && <Alert severity="error">{problem ?? opened.problem}</Alert>}
        {build?.state === 'failed' && <Alert severity="error">The build failed: {build.problem}</Alert>}
        {build?.state === 'cancelled' && (
          <Alert severity="info">The build was stopped; nothing of it was kept.</Alert>
        )}
        {build?.state === 'done' && build.result && opened.data && age && (
          <Built key={build.id} build={build} result={build.result} earlier={builds} isOld={age.isOld} />
        )}
        {!build && earlier.data && opened.data && <NothingBuilt screens={screens} />}
      </Box>
    </>
  );
}

/** Whether a build is not what would be built now, and why. */
function ageOf(
  build: BuildView,
  options: ConvertOptions,
): { readonly isOld: boolean; readonly words: string } {
  const edits = build.editsSince;
  const others = !equal(whole(build.options), whole(options));
  const words = [
    ...(edits > 0 ? [`${edits === 1 ? 'one edit' : `${edits} edits`} since`] : []),
    ...(others ? ['other options are chosen now'] : []),
  ];
  return { isOld: words.length > 0, words: words.join(', ') || 'up to date' };
}

/** Options with what is left out said. */
function whole({
  frame,
  settings = {},
  language = USUAL_LANGUAGE,
  join = false,
  themes = [],
  titles = {},
  schemes = {},
  pictures = { recipes: [] },
  // What is built together with it changes nothing of it.
  also: _,
  ...others
}: ConvertOptions) {
  return {
    ...others,
    settings: { ...usualSettings(TARGETS[others.target].options), ...settings },
    language,
    join,
    themes,
    titles,
    schemes,
    pictures,
    frame: frame ?? plainFrame(others.arrangement),
  };
}

function optionWords({ arrangement, target, settings }: ConvertOptions): string {
  const all = { ...usualSettings(TARGETS[target].options), ...settings };
  return [TARGETS[target].label, arrangement, all.unit].filter(Boolean).join(', ');
}

function screensIn({ mockup, tags }: OpenedMockup): readonly Screen[] {
  return applyStructuralTags(mockup, new Map(Object.entries(tags))).screens;
}

function NothingBuilt({ screens }: { readonly screens: readonly Screen[] }) {
  return (
    <Box sx={{ flex: 1, display: 'grid', placeContent: 'center', justifyItems: 'center', gap: 1, p: 3 }}>
      <Typography variant="h2">Nothing is built yet</Typography>
      <Typography color="text.secondary" sx={{ maxWidth: 460, textAlign: 'center' }}>
        “Build the page” makes {screens.length === 1 ? 'one page' : `${screens.length} pages`} with a style
        sheet, pictures and fonts, compares {screens.length === 1 ? 'it' : 'them'} with the mockup, and packs
        everything into one ZIP.
      </Typography>
    </Box>
  );
}

function Progress({ build }: { readonly build: BuildView }) {
  const isKnown = build.total > 0;
  const says = isKnown
    ? `Drawing pictures and writing code: ${build.done} of ${build.total} layers`
    : build.state === 'waiting'
      ? 'Waiting for its turn'
      : 'Working out the page';
  return (
    <Box role="status" sx={{ px: 2, py: 1 }}>
      <Typography sx={{ fontSize: 12 }}>{says}</Typography>
      <LinearProgress
        aria-label={says}
        {...(isKnown ? { variant: 'determinate', value: (build.done / build.total) * 100 } : {})}
      />
    </Box>
  );
}
