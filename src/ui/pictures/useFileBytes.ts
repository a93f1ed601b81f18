import { useEffect, useState } from 'react';
import { PLAIN_BYTES_HEADER } from '../../core/pictures/plainBytesHeader';
import { plannedFileAddress } from './addresses';

/** Files that are asked for at once. */
const AT_ONCE = 2;

/** A file that was drawn to learn its bytes. */
export interface MeasuredFile {
  readonly bytes: number;
  /** The bytes that it would have if nothing had made it small; null where there is nothing to compare. */
  readonly plain: number | null;
}

/** Files by path; null for one that could not be drawn, absent for one that is not drawn yet. */
export type FileBytes = ReadonlyMap<string, MeasuredFile | null>;

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
    const bytes = new Map<string, MeasuredFile | null>();
    const waiting = all.values();
    const work = async () => {
      for (const path of waiting) {
        if (isOver) return;
        bytes.set(path, await measure(plannedFileAddress(mockupId, path, of)));
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

async function measure(address: string): Promise<MeasuredFile | null> {
  try {
    const response = await fetch(address);
    if (!response.ok) return null;
    const plain = response.headers.get(PLAIN_BYTES_HEADER);
    return { bytes: (await response.blob()).size, plain: plain === null ? null : Number(plain) };
  } catch {
    return null;
  }
}
