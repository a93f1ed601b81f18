import { readdirSync, readFileSync } from 'node:fs';

/** Bytes of a page of memory on Linux; larger pages only make the figure smaller. */
const PAGE = 4096;

/** The processes that a process started, and those that they started (proc(5), `task/[tid]/children`). */
export function descendantsOf(pid: number): readonly number[] {
  const children = tasksOf(pid).flatMap((task) =>
    textOf(`/proc/${pid}/task/${task}/children`).split(' ').filter(Boolean).map(Number),
  );
  return children.flatMap((child) => [child, ...descendantsOf(child)]);
}

/** The memory that a process shares with no other, bytes; 0 for one that is gone (proc(5), `statm`). */
export function ownMemory(pid: number): number {
  const [, resident = 0, shared = 0] = textOf(`/proc/${pid}/statm`).split(' ').map(Number);
  return (resident - shared) * PAGE;
}

function tasksOf(pid: number): readonly string[] {
  try {
    return readdirSync(`/proc/${pid}/task`);
  } catch {
    return [];
  }
}

/** A process may end while it is looked at. */
function textOf(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim();
  } catch {
    return '';
  }
}
