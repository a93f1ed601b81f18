/** How far the readings are that this process does. Kept across reloads of modules. */
const shared = globalThis as { ordenReading?: Map<string, ReadingProgress> };

export interface ReadingProgress {
  readonly done: number;
  readonly total: number;
}

function readings(): Map<string, ReadingProgress> {
  shared.ordenReading ??= new Map();
  return shared.ordenReading;
}

export function noteReading(id: string, progress: ReadingProgress): void {
  readings().set(id, progress);
}

export function endReading(id: string): void {
  readings().delete(id);
}

/** Null when nothing is read under this id, or not any more. */
export function readingProgress(id: string): ReadingProgress | null {
  return readings().get(id) ?? null;
}
