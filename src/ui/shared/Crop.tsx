import { Box } from '@mui/material';
import type { Box as Rectangle } from '../../core/mockup/box';

export interface Size {
  readonly width: number;
  readonly height: number;
}

interface CropProps {
  readonly title?: string;
  readonly src: string;
  /** Of the whole picture, px; 0 before it is known. */
  readonly size: Size;
  /** The part that is shown, px of the picture. */
  readonly box: Rectangle;
  /** Px of the view. */
  readonly view: Size;
  /** Px of the view for one px of the picture at most. */
  readonly largest: number;
  /** True for a line around the part. */
  readonly framed?: boolean;
}

/** Px around the part. */
const AROUND = 3;

/** A part of a picture with what is around it, as large as it fits into a view. */
export function Crop({ title, src, size, box, view, largest, framed = false }: CropProps) {
  const scale = Math.min(
    largest,
    view.width / (box.width + 2 * AROUND),
    view.height / (box.height + 2 * AROUND),
  );
  const shift = (at: number, length: number, room: number) => room / 2 - (at + length / 2) * scale;
  return (
    <Box
      component="span"
      title={title}
      style={{
        ...view,
        ...(size.width > 0 && {
          backgroundImage: `url("${src}")`,
          backgroundSize: `${size.width * scale}px ${size.height * scale}px`,
          backgroundPosition: `${shift(box.x, box.width, view.width)}px ${shift(box.y, box.height, view.height)}px`,
        }),
      }}
      sx={{
        position: 'relative',
        flex: 'none',
        display: 'block',
        backgroundRepeat: 'no-repeat',
        boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
      }}
    >
      {framed && (
        <Box
          component="span"
          style={{
            left: (view.width - box.width * scale) / 2,
            top: (view.height - box.height * scale) / 2,
            width: box.width * scale,
            height: box.height * scale,
          }}
          sx={{ position: 'absolute', outline: '1px dashed #a63a1e', outlineOffset: 1 }}
        />
      )}
    </Box>
  );
}
