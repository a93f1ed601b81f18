import { readingProgress } from '@/server/jobs/readingProgress';
import { route } from '@/server/route';

/** How many layers are read; nothing known counts as nothing read. */
export const GET = route(
  { id: 'reading' },
  ({ id }) => readingProgress(id) ?? { done: 0, total: 0, before: 0 },
);
