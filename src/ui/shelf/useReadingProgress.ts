import { useQuery } from '@tanstack/react-query';
import type { ReadingProgress } from '../../server/jobs/readingProgress';
import { request } from '../shared/request';

const BETWEEN_MS = 250;
const NOTHING: ReadingProgress = { done: 0, total: 0, before: 0 };

/** The number of layers that a running reading has read, polled while it is shown. */
export function useReadingProgress(id: string): ReadingProgress {
  const { data = NOTHING } = useQuery({
    queryKey: ['progress', id],
    queryFn: () => request<ReadingProgress>(`/api/readings/${id}/progress`),
    refetchInterval: BETWEEN_MS,
  });
  return data;
}
