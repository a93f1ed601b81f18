'use client';
import { Box, Typography } from '@mui/material';
import { useState } from 'react';
import type { Box as Rectangle } from '../../core/mockup/box';

interface ScreenPictureProps {
  /** URL of the picture of the whole sheet. */
  readonly src: string;
  readonly sheet: { readonly width: number; readonly height: number };
  /** The visible part of the sheet, px. */
  readonly part: Rectangle;
  readonly alt: string;
  /** Whether content around the part is visible. */
  readonly spills?: boolean;
}

/** A part of a sheet's picture that fills its container; words stand there until it is drawn. */
export function ScreenPicture({ src, sheet, part, alt, spills = false }: ScreenPictureProps) {
  const [drawn, setDrawn] = useState<string | null>(null);
  const share = (value: number, of: number) => `${(value / of) * 100}%`;
  return (
    <Box sx={{ position: 'absolute', inset: 0, overflow: spills ? 'visible' : 'hidden' }}>
      {drawn === null && (
        <Typography aria-hidden sx={{ p: 1.5, fontSize: 13, color: '#5b554b', textAlign: 'center' }}>
          Drawing the mockup…
        </Typography>
      )}
      <Box
        component="img"
        onLoad={() => setDrawn(src)}
        src={src}
        alt={alt}
        draggable={false}
        style={{
          left: share(-part.x, part.width),
          top: share(-part.y, part.height),
          width: share(sheet.width, part.width),
          height: share(sheet.height, part.height),
        }}
        // A compositing layer of its own: highlighting other layers must not repaint thousands of shapes.
        sx={{ display: 'block', position: 'absolute', maxWidth: 'none', willChange: 'transform' }}
      />
    </Box>
  );
}
