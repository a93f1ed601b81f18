'use client';
import { Box, ToggleButton, ToggleButtonGroup } from '@mui/material';
import { useRef, useState, type MouseEvent } from 'react';
import type { Box as Rectangle } from '../../core/mockup/box';
import { ScreenPicture } from '../shared/ScreenPicture';
import { layersAt } from './hits';
import { ScreenChoice } from './ScreenChoice';
import { useSort } from './SortContext';

/** What was found: a dotted frame, so that it is told from what is chosen without its colour. */
const FOUND = {
  position: 'absolute',
  pointerEvents: 'none',
  outline: '2px dotted #22201c',
  boxShadow: '0 0 0 2px rgb(255 250 242 / 80%)',
} as const;

type Zoom = 'fit' | 1 | 2;

/** The mockup beside the worksheet: what is pointed at or chosen here lights up there, and the other way round. */
export function MockupView() {
  const { id, mockup: sheet } = useSort((state) => state.opened);
  const screens = useSort((state) => state.mockup.screens);
  const screen = useSort((state) => state.screen);
  const showScreen = useSort((state) => state.showScreen);
  const settled = useSort((state) => state.settled);
  const cursor = useSort((state) => state.cursor);
  const selection = useSort((state) => state.selection);
  const hovered = useSort((state) => state.hovered);
  const found = useSort((state) => state.found);
  const hover = useSort((state) => state.hover);
  const reveal = useSort((state) => state.reveal);
  const picture = useRef<HTMLDivElement>(null);
  const [zoom, setZoom] = useState<Zoom>('fit');
  const whole = sheet.screens[0];
  if (!whole) return null;

  const under = (event: MouseEvent) => {
    const frame = picture.current?.getBoundingClientRect();
    if (!frame || !settled) return [];
    const scale = screen.width / frame.width;
    return layersAt(
      screen,
      settled.boxes,
      settled.decisions,
      (event.clientX - frame.left) * scale,
      (event.clientY - frame.top) * scale,
    );
  };
  const choose = (event: MouseEvent) => {
    const hits = under(event);
    // A second click on the chosen layer goes to the one beneath it.
    const next = hits[(hits.indexOf(cursor ?? '') + 1) % Math.max(1, hits.length)];
    if (next !== undefined) reveal(next);
  };
  const place = (box: Rectangle | undefined) =>
    box && {
      left: `${(box.x / screen.width) * 100}%`,
      top: `${(box.y / screen.height) * 100}%`,
      width: `${(box.width / screen.width) * 100}%`,
      height: `${(box.height / screen.height) * 100}%`,
    };
  const hoverPlace = place(hovered === null ? undefined : settled?.boxes.get(hovered));
  const fit = zoom === 'fit';
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', height: '100%', minHeight: 0 }}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          px: 1,
          height: 32,
          borderBottom: 1,
          borderColor: 'divider',
        }}
      >
        <ScreenChoice screens={screens} screen={screen} onChoose={showScreen} />
        <ToggleButtonGroup
          size="small"
          exclusive
          value={zoom}
          onChange={(_, next: Zoom | null) => next !== null && setZoom(next)}
          aria-label="Zoom"
        >
          <ToggleButton value="fit" sx={{ py: 0 }}>
            Whole
          </ToggleButton>
          <ToggleButton value={1} sx={{ py: 0 }}>
            1:1
          </ToggleButton>
          <ToggleButton value={2} sx={{ py: 0 }}>
            2:1
          </ToggleButton>
        </ToggleButtonGroup>
      </Box>
      <Box
        tabIndex={0}
        role="group"
        aria-label="Mockup"
        sx={{ flex: 1, minHeight: 0, overflow: 'auto', p: 1.5, bgcolor: 'background.default' }}
      >
        <Box
          ref={picture}
          onMouseMove={(event) => hover(under(event)[0] ?? null)}
          onMouseLeave={() => hover(null)}
          onClick={choose}
          sx={{
            position: 'relative',
            width: fit ? '100%' : screen.width * zoom,
            aspectRatio: `${screen.width} / ${screen.height}`,
            bgcolor: '#fff',
            cursor: 'crosshair',
            overflow: 'hidden',
            boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
          }}
        >
          <ScreenPicture
            src={`/api/mockups/${id}/picture`}
            sheet={whole}
            part={{ ...screen.origin, width: screen.width, height: screen.height }}
            alt={`The mockup ${screen.name}`}
          />
          {found.slice(0, 500).map((key) => {
            const at = place(settled?.boxes.get(key));
            return at && <Box key={key} style={at} sx={FOUND} />;
          })}
          {[...selection].slice(0, 200).map((key) => {
            const at = place(settled?.boxes.get(key));
            return (
              at && (
                <Box
                  key={key}
                  style={at}
                  sx={{
                    position: 'absolute',
                    pointerEvents: 'none',
                    boxShadow: '0 0 0 1px #fffaf2, 0 0 0 3px #a63a1e',
                  }}
                />
              )
            );
          })}
          {hoverPlace && (
            <Box
              style={hoverPlace}
              sx={{
                position: 'absolute',
                pointerEvents: 'none',
                bgcolor: 'rgb(34 32 28 / 18%)',
                boxShadow: '0 0 0 1px #22201c, 0 0 0 2px #fffaf2',
              }}
            />
          )}
        </Box>
      </Box>
    </Box>
  );
}
