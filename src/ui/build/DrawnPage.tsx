import { Box } from '@mui/material';
import { useRef } from 'react';
import type { RecordedLayer } from '../../core/buildRecord';
import type { LayerId } from '../../core/mockup/layer';
import { useWidth } from '../shared/useWidth';

interface DrawnPageProps {
  readonly address: string;
  /** Px of the screen. */
  readonly width: number;
  readonly height: number;
  readonly layers: readonly RecordedLayer[];
  readonly chosen: LayerId | null;
  readonly onChoose: (layer: LayerId) => void;
}

/** A picture of what a build draws, with the chosen layer marked where the mockup has it. */
export function DrawnPage({ address, width, height, layers, chosen, onChoose }: DrawnPageProps) {
  const pane = useRef<HTMLDivElement>(null);
  const room = useWidth(pane, 600);
  const scale = Math.min(1, room / width);
  const lit = layers.find(({ id }) => id === chosen)?.box;
  const pick = (x: number, y: number) => {
    // The smallest layer is the one that is meant.
    const under = layers
      .filter(({ box, isHidden }) => box && !isHidden && contains(box, x, y))
      .sort((one, other) => areaOf(one) - areaOf(other));
    if (under[0]) onChoose(under[0].id);
  };
  return (
    <Box
      ref={pane}
      tabIndex={0}
      role="group"
      aria-label="What the build draws"
      sx={{ minWidth: 0, minHeight: 0, overflow: 'auto', bgcolor: 'background.default' }}
    >
      <Box
        sx={{ position: 'relative', width: width * scale, height: height * scale }}
        onClick={(event) => {
          const { left, top } = event.currentTarget.getBoundingClientRect();
          pick((event.clientX - left) / scale, (event.clientY - top) / scale);
        }}
      >
        <Box
          component="img"
          src={address}
          alt="The screen as it is drawn"
          sx={{ width: '100%', display: 'block' }}
        />
        {lit && (
          <Box
            style={{
              left: lit.x * scale,
              top: lit.y * scale,
              width: lit.width * scale,
              height: lit.height * scale,
            }}
            sx={{
              position: 'absolute',
              pointerEvents: 'none',
              outline: '2px solid #c2410c',
              outlineOffset: '1px',
            }}
          />
        )}
      </Box>
    </Box>
  );
}

function contains(
  { x, y, width, height }: NonNullable<RecordedLayer['box']>,
  left: number,
  top: number,
): boolean {
  return left >= x && left <= x + width && top >= y && top <= y + height;
}

function areaOf({ box }: RecordedLayer): number {
  return box ? box.width * box.height : Infinity;
}
