import { useEffect } from 'react';
import { useSort } from './SortContext';

const EVERY_MS = 700;

/** Takes the edits of other windows while this one is visible, and warns before unsaved edits are lost. */
export function useFollowing(): void {
  const follow = useSort((state) => state.follow);
  const unsaved = useSort((state) => state.pending > 0);
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout>;
    const next = () => {
      timer = setTimeout(() => {
        const done = document.visibilityState === 'visible' ? follow() : Promise.resolve();
        void done.finally(next);
      }, EVERY_MS);
    };
    next();
    return () => clearTimeout(timer);
  }, [follow]);
  useEffect(() => {
    if (!unsaved) return undefined;
    const warn = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [unsaved]);
}
