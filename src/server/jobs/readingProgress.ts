/** The progress of this process's readings. Kept on `globalThis`, so that a reloaded module reuses it. */
const shared = globalThis as { ordenReading?: Map<string, ReadingProgress> };

export interface ReadingProgress {
  readonly done: number;
  readonly total: number;
  /** The number of jobs that are done first. */
  readonly before: number;
}

function readings(): Map<string, ReadingProgress> {
  shared.ordenReading ??= new Map();
  return shared.ordenReading;
}

export function setReadingProgress(id: string, progress: ReadingProgress): void {
  readings().set(id, progress);
}

export function endReading(id: string): void {
  readings().delete(id);
}

/** Null when no reading runs under this id. */
export function readingProgress(id: string): ReadingProgress | null {
  return readings().get(id) ?? null;
}
