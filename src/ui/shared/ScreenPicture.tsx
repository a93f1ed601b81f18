import { Box } from '@mui/material';
import type { Box as Rectangle } from '../../core/mockup/box';

interface ScreenPictureProps {
  /** Address of the picture of the whole sheet. */
  readonly src: string;
  readonly sheet: { readonly width: number; readonly height: number };
  /** The part of the sheet that is shown, px. */
  readonly part: Rectangle;
  readonly alt: string;
  /** Whether what lies around the part is seen too. */
  readonly spills?: boolean;
}

/** A part of a sheet's picture, filling the box around it. */
export function ScreenPicture({ src, sheet, part, alt, spills = false }: ScreenPictureProps) {
  const share = (value: number, of: number) => `${(value / of) * 100}%`;
  return (
    <Box sx={{ position: 'absolute', inset: 0, overflow: spills ? 'visible' : 'hidden' }}>
      <Box
        component="img"
        src={src}
        alt={alt}
        draggable={false}
        style={{
          left: share(-part.x, part.width),
          top: share(-part.y, part.height),
          width: share(sheet.width, part.width),
          height: share(sheet.height, part.height),
        }}
        // A layer of its own: lighting up other layers over it must not draw thousands of shapes anew.
        sx={{ display: 'block', position: 'absolute', maxWidth: 'none', willChange: 'transform' }}
      />
    </Box>
  );
}
