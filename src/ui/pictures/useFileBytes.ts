import { useEffect, useState } from 'react';
import { plannedFileAddress } from './addresses';

/** Files that are asked for at once. */
const AT_ONCE = 2;

/** Bytes by path; null for a file that could not be drawn, absent for one that is not drawn yet. */
export type FileBytes = ReadonlyMap<string, number | null>;

/** Draws files one after the other to learn their bytes; a new state of the mockup begins anew. */
export function useFileBytes(mockupId: string, mark: string | null, paths: readonly string[]): FileBytes {
  const wanted = JSON.stringify([mark, paths]);
  const [known, setKnown] = useState<{ readonly of: string; readonly bytes: FileBytes }>({
    of: '',
    bytes: new Map(),
  });
  useEffect(() => {
    const [of, all] = JSON.parse(wanted) as [string | null, string[]];
    if (of === null) return undefined;
    let isOver = false;
    const bytes = new Map<string, number | null>();
    const waiting = all.values();
    const work = async () => {
      for (const path of waiting) {
        if (isOver) return;
        bytes.set(path, await bytesOf(plannedFileAddress(mockupId, path, of)));
        if (!isOver) setKnown({ of: wanted, bytes: new Map(bytes) });
      }
    };
    for (let at = 0; at < AT_ONCE; at += 1) void work();
    return () => {
      isOver = true;
    };
  }, [mockupId, wanted]);
  return known.of === wanted ? known.bytes : NONE;
}

const NONE: FileBytes = new Map();

async function bytesOf(address: string): Promise<number | null> {
  try {
    const response = await fetch(address);
    return response.ok ? (await response.blob()).size : null;
  } catch {
    return null;
  }
}
