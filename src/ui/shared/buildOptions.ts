import type { ConvertOptions } from '../../core/convert';
import { inOrder } from './inOrder';
import { sendJson } from './request';

/** The most characters of a body that is sent although the window is left: a part of the 64 KiB of the Fetch Standard, §4.6. */
const MOST_KEPT_ALIVE = 10_000;

const send = inOrder();

/**
 * Keeps how the page is to be built: one setting for all steps. A later choice is never overtaken by an earlier one, and
 * one that is on its way is kept although the window is left.
 */
export function keepOptions(mockupId: string, options: ConvertOptions): Promise<ConvertOptions> {
  const keepalive = JSON.stringify(options).length <= MOST_KEPT_ALIVE;
  return send(() =>
    sendJson<ConvertOptions>('PUT', `/api/mockups/${mockupId}/options`, options, { keepalive }),
  );
}
