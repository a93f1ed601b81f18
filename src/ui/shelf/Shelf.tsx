'use client';
import SearchOutlined from '@mui/icons-material/SearchOutlined';
import { Alert, Box, InputAdornment, NativeSelect, Skeleton, TextField, Typography } from '@mui/material';
import { usePathname } from 'next/navigation';
import { useState } from 'react';
import { ReadingView } from '../read/ReadingView';
import { TopBar } from '../shared/TopBar';
import { useResource } from '../shared/useResource';
import { DropPlace } from './DropPlace';
import { ProjectCard } from './ProjectCard';
import type { ShelfEntry } from '../../server/useCases/shelf';
import { ORDERS, orderedProjects, type OrderName } from './shelfEntry';

/** The shelf, or the report of a file that was just read, under a URL of its own. */
export function ShelfOrReport() {
  const [, place, id] = usePathname().split('/');
  return place === 'readings' && id ? <ReadingView key={id} readingId={id} /> : <Shelf />;
}

/** All projects, and the place where new mockups are dropped: the whole window. */
function Shelf() {
  const { data, problem, reload } = useResource<{ projects: ShelfEntry[] }>('/api/projects');
  return (
    <>
      <TopBar title="Projects" />
      <DropPlace>
        {problem && <Alert severity="error">{problem}</Alert>}
        {!data && !problem && <Waiting />}
        {data && data.projects.length > 0 && <Projects entries={data.projects} onChanged={reload} />}
      </DropPlace>
    </>
  );
}

/** From so many projects on there is a search. */
const SEARCHED = 6;

interface ProjectsProps {
  readonly entries: readonly ShelfEntry[];
  readonly onChanged: () => void;
}

function Projects({ entries, onChanged }: ProjectsProps) {
  const [words, setWords] = useState('');
  const [order, setOrder] = useState<OrderName>('edited');
  const shown = orderedProjects(entries, words, order);
  return (
    <Box component="section" aria-label="Projects">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1.5, minHeight: 34 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {entries.length === 1 ? 'One project' : `${entries.length} projects`}
        </Typography>
        {entries.length >= SEARCHED && (
          <TextField
            size="small"
            placeholder="Search"
            value={words}
            onChange={(event) => setWords(event.target.value)}
            slotProps={{
              htmlInput: { 'aria-label': 'Search projects' },
              input: {
                startAdornment: (
                  <InputAdornment position="start">
                    <SearchOutlined fontSize="small" />
                  </InputAdornment>
                ),
              },
            }}
          />
        )}
        {entries.length > 1 && (
          <NativeSelect
            value={order}
            onChange={(event) => setOrder(event.target.value as OrderName)}
            inputProps={{ 'aria-label': 'Order of the projects' }}
          >
            {Object.entries(ORDERS).map(([name, { label }]) => (
              <option key={name} value={name}>
                {label}
              </option>
            ))}
          </NativeSelect>
        )}
      </Box>
      {shown.length === 0 && <Typography color="text.secondary">No project has these words.</Typography>}
      <Box component="ul" sx={GRID}>
        {shown.map((entry) => (
          <ProjectCard key={entry.mockupId} entry={entry} onChanged={onChanged} />
        ))}
      </Box>
    </Box>
  );
}

const GRID = {
  m: 0,
  p: 0,
  listStyle: 'none',
  display: 'grid',
  gap: 2,
  gridTemplateColumns: 'repeat(auto-fill, minmax(232px, 1fr))',
} as const;

function Waiting() {
  return (
    <Box role="status" aria-label="Opening the projects" sx={GRID}>
      {[0, 1, 2, 3].map((at) => (
        <Skeleton key={at} variant="rectangular" height={236} animation={false} />
      ))}
    </Box>
  );
}
