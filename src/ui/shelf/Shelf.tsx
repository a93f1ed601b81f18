'use client';
import { Alert, Box, Typography } from '@mui/material';
import { usePathname } from 'next/navigation';
import { ReadingView } from '../read/ReadingView';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { DropPlace } from './DropPlace';
import { ShelfTable, type ShelfEntry } from './ShelfTable';

/** The shelf, or the report of a file that was just read, under a URL of its own. */
export function ShelfOrReport() {
  const [, place, id] = usePathname().split('/');
  return place === 'readings' && id ? <ReadingView key={id} readingId={id} /> : <Shelf />;
}

/** All projects, and the drop zone for new mockups. */
function Shelf() {
  const { data, problem, reload } = useResource<{ projects: ShelfEntry[] }>('/api/projects');
  return (
    <>
      <TopBar title="Shelf" />
      <Box
        component="main"
        sx={{
          flex: 1,
          overflow: 'auto',
          px: 2,
          py: 2,
          display: 'grid',
          gap: 2,
          alignContent: 'start',
          maxWidth: 1120,
          width: '100%',
          mx: 'auto',
        }}
      >
        <DropPlace />
        {problem && <Alert severity="error">{problem}</Alert>}
        {data && data.projects.length === 0 && (
          <Typography color="text.secondary">
            The shelf is empty. The first mockup that you drop above becomes a project.
          </Typography>
        )}
        {data && data.projects.length > 0 && <ShelfTable entries={data.projects} onChanged={reload} />}
      </Box>
    </>
  );
}
