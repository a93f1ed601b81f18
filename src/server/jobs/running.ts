/**
 * The builds and proofs of this process, for cancellation. Kept on `globalThis`, so that a reloaded module reuses it.
 */
const shared = globalThis as { ordenRunning?: Map<string, AbortController> };

function running(): Map<string, AbortController> {
  shared.ordenRunning ??= new Map();
  return shared.ordenRunning;
}

export function beginRunning(id: string): AbortController {
  const controller = new AbortController();
  running().set(id, controller);
  return controller;
}

export function endRunning(id: string): void {
  running().delete(id);
}

export function stopRunning(id: string): void {
  running().get(id)?.abort(new Error('It was stopped.'));
}

/** How often work is begun before it is given up: what ends the server each time would end it for ever. */
export const MOST_ATTEMPTS = 3;
