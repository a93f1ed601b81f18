import { useEffect, useState } from 'react';
import { request } from '../shared/request';

interface Progress {
  readonly done: number;
  readonly total: number;
}

const BETWEEN_MS = 250;

/** The number of layers that a running reading has read, polled while it is shown. */
export function useReadingProgress(id: string): Progress {
  const [progress, setProgress] = useState<Progress>({ done: 0, total: 0 });
  useEffect(() => {
    let wanted = true;
    const timer = setInterval(() => {
      request<Progress>(`/api/readings/${id}/progress`).then(
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
