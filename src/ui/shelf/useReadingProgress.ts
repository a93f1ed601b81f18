import { useEffect, useState } from 'react';
import type { ReadingProgress } from '../../server/jobs/readingProgress';
import { request } from '../shared/request';

const BETWEEN_MS = 250;

/** The number of layers that a running reading has read, polled while it is shown. */
export function useReadingProgress(id: string): ReadingProgress {
  const [progress, setProgress] = useState<ReadingProgress>({ done: 0, total: 0, before: 0 });
  useEffect(() => {
    let wanted = true;
    const timer = setInterval(() => {
      request<ReadingProgress>(`/api/readings/${id}/progress`).then(
        (next) => wanted && setProgress(next),
        // The reading itself reports the problem.
        () => undefined,
      );
    }, BETWEEN_MS);
    return () => {
      wanted = false;
      clearInterval(timer);
    };
  }, [id]);
  return progress;
}
