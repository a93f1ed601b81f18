import { descendantsOf, ownMemory } from './familyMemory';

/**
 * Runs in a thread of a worker's process, since native code holds up the main one. Ends the process and what it
 * started, such as Chromium, when they need too much memory: pixels and fonts are outside of the limit of its heap.
 */

/** The most memory of the process and its descendants, bytes. */
const MOST = 2.5 * 1024 ** 3;
const BETWEEN_LOOKS_MS = 100;

setInterval(() => {
  const started = descendantsOf(process.pid);
  const used = started.reduce((sum, pid) => sum + ownMemory(pid), process.memoryUsage.rss());
  if (used <= MOST) return;
  for (const pid of [...started, process.pid]) end(pid);
}, BETWEEN_LOOKS_MS);

function end(pid: number): void {
  try {
    process.kill(pid, 'SIGKILL');
  } catch {
    // It has ended meanwhile.
  }
}
