import { Box } from '@mui/material';
import type { ClassUser } from '../../core/emit/styleBook';
import type { Point } from '../../core/mockup/matrix';
import { Crop, type Size } from '../shared/Crop';

/** A picture of a whole sheet, with the corner of each screen on it. */
export interface DrawnSheet {
  readonly src: string;
  readonly sheet: Size;
  /** Px of the picture. */
  readonly cornerOf: (screen: string) => Point;
}

const VIEW: Size = { width: 206, height: 64 };

/** A layer as it looks, with what is around it. */
export function Specimen({
  user,
  src,
  sheet,
  cornerOf,
}: DrawnSheet & { readonly user: ClassUser | undefined }) {
  if (!user?.box) return <Box sx={{ ...VIEW, bgcolor: 'background.default' }} />;
  const corner = cornerOf(user.screen);
  const box = { ...user.box, x: user.box.x + corner.x, y: user.box.y + corner.y };
  return (
    <Box sx={{ overflow: 'hidden', display: 'grid', placeItems: 'center', bgcolor: 'background.default' }}>
      <Crop src={src} size={sheet} box={box} view={VIEW} largest={1} framed />
    </Box>
  );
}
