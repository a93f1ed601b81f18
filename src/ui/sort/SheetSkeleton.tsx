import { Box, Skeleton } from '@mui/material';

const ROWS = [38, 30, 44, 26, 34, 40, 28, 36, 46, 32, 24, 42];

/** The place of the worksheet while the mockup is opened. */
export function SheetSkeleton() {
  return (
    <Box role="status" aria-label="Opening the mockup" sx={{ display: 'grid', gap: 1 }}>
      {ROWS.map((width, at) => (
        <Box key={at} sx={{ display: 'flex', gap: 2 }}>
          <Skeleton variant="rectangular" width={`${width}%`} height={18} animation={false} />
          <Skeleton variant="rectangular" width={60} height={18} animation={false} />
          <Skeleton variant="rectangular" width={`${70 - width}%`} height={18} animation={false} />
        </Box>
      ))}
    </Box>
  );
}
