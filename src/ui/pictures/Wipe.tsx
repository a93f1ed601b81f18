import { Box, Slider, Typography } from '@mui/material';
import { useState } from 'react';
import { CLEAR_GROUND, ZoomChoice, type Zoom } from './ZoomChoice';

interface WipeProps {
  readonly before: string;
  readonly after: string;
  readonly beforeWords: string;
  readonly afterWords: string;
  /** Px of the file. */
  readonly width: number;
  readonly height: number;
}

/** Two files of one picture over each other, with an edge between them that moves. */
export function Wipe({ before, after, beforeWords, afterWords, width, height }: WipeProps) {
  const [share, setShare] = useState(50);
  const [zoom, setZoom] = useState<Zoom>(1);
  const picture = {
    position: 'absolute',
    inset: 0,
    width: width * zoom,
    height: height * zoom,
    imageRendering: zoom > 1 ? 'pixelated' : 'auto',
  } as const;
  return (
    <Box component="section" aria-label="The two files over each other" sx={{ minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5 }}>
        <Typography sx={{ fontSize: 12.5, flex: 1 }}>
          {beforeWords} on the left, {afterWords} on the right
        </Typography>
        <ZoomChoice value={zoom} onChange={setZoom} />
      </Box>
      <Box
        tabIndex={0}
        role="group"
        aria-label={`Both files at ${zoom}:1`}
        sx={{
          height: 340,
          overflow: 'auto',
          border: 1,
          borderColor: 'divider',
          background: CLEAR_GROUND,
        }}
      >
        <Box sx={{ position: 'relative', width: width * zoom, height: height * zoom, m: 'auto' }}>
          <img
            src={before}
            alt={beforeWords}
            style={{ ...picture, clipPath: `inset(0 ${100 - share}% 0 0)` }}
          />
          <img src={after} alt={afterWords} style={{ ...picture, clipPath: `inset(0 0 0 ${share}%)` }} />
          <Box
            aria-hidden
            sx={{
              position: 'absolute',
              top: 0,
              bottom: 0,
              left: `${share}%`,
              width: '1px',
              bgcolor: 'primary.main',
            }}
          />
        </Box>
      </Box>
      <Slider
        size="small"
        value={share}
        onChange={(_, value) => setShare(value as number)}
        aria-label="The edge between the two files"
        valueLabelFormat={(value) => `${value}%`}
      />
    </Box>
  );
}
