import { stopRunning } from './running';

const BETWEEN_NOTES_MS = 200;

/**
 * Records the progress of running work at intervals. Work that was cancelled elsewhere stops at its next record.
 * @param note records it; false when the work was cancelled
 */
export function reporter(
  id: string,
  note: (done: number, total: number) => Promise<boolean>,
): (done: number, total: number) => void {
  let last = 0;
  return (done, total) => {
    const now = Date.now();
    if (now - last < BETWEEN_NOTES_MS && done < total) return;
    last = now;
    note(done, total).then(
      (wanted) => {
        if (!wanted) stopRunning(id);
      },
      () => undefined,
    );
  };
}
