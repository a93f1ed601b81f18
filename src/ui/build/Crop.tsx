import { Box } from '@mui/material';
import type { Box as Rectangle } from '../../core/mockup/box';

export interface Size {
  readonly width: number;
  readonly height: number;
}

interface CropProps {
  readonly title: string;
  readonly src: string;
  /** Of the whole picture, px; 0 before it is known. */
  readonly size: Size;
  /** The part that is shown, px of the picture. */
  readonly box: Rectangle;
}

/** Px of the view, and around the part. */
const [WIDTH, HEIGHT, AROUND] = [52, 32, 3];

/** A part of a picture, as large as it fits into a small view. */
export function Crop({ title, src, size, box }: CropProps) {
  const scale = Math.min(2, WIDTH / (box.width + 2 * AROUND), HEIGHT / (box.height + 2 * AROUND));
  const shift = (at: number, length: number, room: number) => room / 2 - (at + length / 2) * scale;
  return (
    <Box
      component="span"
      title={title}
      style={
        size.width > 0
          ? {
              backgroundImage: `url("${src}")`,
              backgroundSize: `${size.width * scale}px ${size.height * scale}px`,
              backgroundPosition: `${shift(box.x, box.width, WIDTH)}px ${shift(box.y, box.height, HEIGHT)}px`,
            }
          : undefined
      }
      sx={{
        flex: 'none',
        width: WIDTH,
        height: HEIGHT,
        backgroundRepeat: 'no-repeat',
        boxShadow: '0 0 0 1px rgb(0 0 0 / 18%)',
      }}
    />
  );
}
