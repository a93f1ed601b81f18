'use client';
import { Alert, Box, NativeSelect, Slider, ToggleButton, ToggleButtonGroup, Typography } from '@mui/material';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { BuildRecord, RecordedLayer } from '../../core/buildRecord';
import type { SourceSpan } from '../../core/emit/sourceMap';
import type { LayerId } from '../../core/mockup/layer';
import { STATES, type State } from '../../core/sort/vocabulary';
import type { BuildResult } from '../../server/buildTypes';
import type { BuildView } from '../../server/useCases/builds';
import { CodeView } from '../shared/CodeView';
import { useResource } from '../shared/useResource';
import { useText } from '../shared/useText';
import { DrawnPage } from './DrawnPage';
import { fileAddress, isLive, languageOf } from './fileAddress';
import { LivePage } from './LivePage';

interface LinkedViewProps {
  readonly build: BuildView;
  readonly result: BuildResult;
}

/** Layers, code and the live page: a selection in one is highlighted in the other two. */
export function LinkedView({ build, result }: LinkedViewProps) {
  const [at, setAt] = useState(0);
  const [chosen, setChosen] = useState<LayerId | null>(null);
  const screen = result.screens[at];
  const record = useResource<BuildRecord>(`/api/builds/${build.id}/record`);
  const code = useText(screen ? fileAddress(build, screen.file) : null);
  const own = useMemo(() => record.data?.sourceMap[screen?.file ?? ''] ?? [], [record.data, screen]);
  const link = linkOf(own, chosen);
  const [width, setWidth] = useState(screen?.width ?? 1280);
  const [hiddenToo, setHiddenToo] = useState(false);
  const [state, setState] = useState<State | null>(null);

  const pickLine = useCallback(
    (line: number) => setChosen(innermost(own, (each) => each.line <= line && line <= each.lastLine)),
    [own],
  );
  const pickElement = useCallback(
    (element: number) =>
      setChosen(innermost(own, (each) => each.element <= element && element <= lastElement(own, each))),
    [own],
  );

  if (!screen) return null;
  const live = isLive(screen);
  if (record.problem ?? code.problem) return <Alert severity="error">{record.problem ?? code.problem}</Alert>;
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 2,
          px: 2,
          py: 0.5,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        {result.screens.length > 1 && (
          <NativeSelect
            value={at}
            onChange={(event) => {
              const next = Number(event.target.value);
              setAt(next);
              setWidth(result.screens[next]?.width ?? width);
              setChosen(null);
            }}
            inputProps={{ 'aria-label': 'Screen' }}
          >
            {result.screens.map(({ name }, index) => (
              <option key={index} value={index}>
                {name}
              </option>
            ))}
          </NativeSelect>
        )}
        {live && (
          <>
            <Typography id="window-width" sx={{ fontSize: 12, whiteSpace: 'nowrap' }}>
              Window {width} px
            </Typography>
            <Slider
              size="small"
              min={320}
              max={Math.max(1600, Math.round(screen.width * 1.3))}
              step={10}
              value={width}
              onChange={(_, next) => setWidth(next as number)}
              aria-labelledby="window-width"
              sx={{ maxWidth: 260 }}
            />
            <ToggleButtonGroup
              size="small"
              exclusive
              value={width}
              onChange={(_, next: number | null) => next !== null && setWidth(next)}
              aria-label="Width of the window"
            >
              {[...new Set([...WINDOWS, screen.width])]
                .sort((one, other) => one - other)
                .map((each) => (
                  <ToggleButton key={each} value={each} sx={{ py: 0.25 }}>
                    {each}
                  </ToggleButton>
                ))}
            </ToggleButtonGroup>
            <ToggleButton
              value="hidden"
              size="small"
              selected={hiddenToo}
              onChange={() => setHiddenToo(!hiddenToo)}
              sx={{ py: 0.25 }}
            >
              Show hidden
            </ToggleButton>
            <StateChoice value={state} onChoose={setState} />
          </>
        )}
        <Typography noWrap sx={{ fontSize: 12, color: 'text.secondary', flex: 1, textAlign: 'right' }}>
          {link
            ? link.line === link.lastLine
              ? `line ${link.line}`
              : `lines ${link.line}–${link.lastLine}`
            : chosen
              ? 'no element of its own'
              : 'Choose a layer, a line or a part of the page'}
        </Typography>
      </Box>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: '240px minmax(0, 1fr) minmax(0, 1.2fr)',
          gridTemplateRows: 'minmax(0, 1fr)',
        }}
      >
        <Layers layers={record.data?.screens[at]?.layers ?? NONE} chosen={chosen} onChoose={setChosen} />
        <Box sx={{ minHeight: 0, minWidth: 0, borderRight: 1, borderLeft: 1, borderColor: 'divider' }}>
          <CodeView
            title={screen.file}
            code={code.text ?? ''}
            language={languageOf(screen.file)}
            lit={link}
            onPick={pickLine}
          />
        </Box>
        {live ? (
          <LivePage
            address={fileAddress(build, screen.shown ?? screen.file)}
            lit={link?.element ?? null}
            state={state}
            width={width}
            height={screen.height}
            hiddenToo={hiddenToo}
            onPick={pickElement}
          />
        ) : screen.shown === undefined ? (
          <Typography sx={{ p: 2 }}>
            Nothing here shows what {screen.file} draws; Findings say what is missing.
          </Typography>
        ) : (
          <DrawnPage
            address={fileAddress(build, screen.shown)}
            width={screen.width}
            height={screen.height}
            layers={record.data?.screens[at]?.layers ?? NONE}
            chosen={chosen}
            onChoose={setChosen}
          />
        )}
      </Box>
    </Box>
  );
}

/** The element of a layer, or the one that absorbed it. */
function linkOf(links: readonly SourceSpan[], chosen: LayerId | null): SourceSpan | null {
  if (chosen === null) return null;
  const own = links.find(({ layer }) => layer === chosen);
  return own ?? links.find(({ merged }) => merged.includes(chosen)) ?? null;
}

/** The innermost link that matches. */
function innermost(links: readonly SourceSpan[], holds: (link: SourceSpan) => boolean): LayerId | null {
  return links.findLast(holds)?.layer ?? null;
}

/** The last element on the lines of a link. */
function lastElement(links: readonly SourceSpan[], link: SourceSpan): number {
  const next = links.find(({ line }) => line > link.lastLine);
  return next ? next.element - 1 : Infinity;
}

interface StateChoiceProps {
  readonly value: State | null;
  readonly onChoose: (state: State | null) => void;
}

function StateChoice({ value, onChoose }: StateChoiceProps) {
  return (
    <NativeSelect
      value={value ?? ''}
      onChange={(event) => onChoose(STATES.find((state) => state === event.target.value) ?? null)}
      inputProps={{ 'aria-label': 'State that is shown' }}
      sx={{ fontSize: 12 }}
    >
      <option value="">Normal state</option>
      {STATES.map((state) => (
        <option key={state} value={state}>
          {state}
        </option>
      ))}
    </NativeSelect>
  );
}

/** Widths of usual windows: a phone, a tablet, a laptop, px (common practice, no source). */
const WINDOWS = [390, 768, 1280] as const;

const ROW = 24;

interface LayersProps {
  readonly layers: readonly RecordedLayer[];
  readonly chosen: LayerId | null;
  readonly onChoose: (layer: LayerId) => void;
}

function Layers({ layers, chosen, onChoose }: LayersProps) {
  const pane = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: layers.length,
    getScrollElement: () => pane.current,
    estimateSize: () => ROW,
    overscan: 12,
  });
  const index = layers.findIndex(({ id }) => id === chosen);
  useEffect(() => {
    if (index >= 0) virtual.scrollToIndex(index, { align: 'auto' });
  }, [index, virtual]);
  const move = (by: number) => {
    const next = layers[Math.min(layers.length - 1, Math.max(0, index + by))];
    if (next) onChoose(next.id);
  };
  return (
    <Box
      ref={pane}
      role="listbox"
      aria-label="Layers"
      aria-activedescendant={index >= 0 ? `linked-${index}` : undefined}
      tabIndex={0}
      onKeyDown={(event) => {
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (by === 0) return;
        event.preventDefault();
        move(by);
      }}
      sx={{ minHeight: 0, overflow: 'auto' }}
    >
      <Box sx={{ position: 'relative', height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((item) => {
          const layer = layers[item.index]!;
          return (
            <Box
              key={layer.id}
              id={`linked-${item.index}`}
              role="option"
              aria-selected={layer.id === chosen}
              onClick={() => onChoose(layer.id)}
              style={{ top: item.start, paddingLeft: 8 + layer.depth * 10 }}
              sx={{
                position: 'absolute',
                left: 0,
                right: 0,
                height: ROW,
                lineHeight: `${ROW}px`,
                fontSize: 12,
                whiteSpace: 'nowrap',
                cursor: 'default',
                '&[aria-selected=true]': {
                  bgcolor: 'action.selected',
                  boxShadow: 'inset 3px 0 0 var(--mui-palette-primary-main)',
                },
              }}
            >
              {layer.title}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** A constant, so that nothing re-renders for it. */
const NONE: readonly RecordedLayer[] = [];
