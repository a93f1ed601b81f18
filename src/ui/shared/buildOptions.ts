import type { ConvertOptions } from '../../core/convert';
import { sendJson } from './request';

/** How a page is built as long as nobody said otherwise. */
export const USUAL_OPTIONS: ConvertOptions = { arrangement: 'flow', target: 'html' };

/** Keeps how the page is to be built: one setting for all steps. */
export function keepOptions(mockupId: string, options: ConvertOptions): Promise<ConvertOptions> {
  return sendJson<ConvertOptions>('PUT', `/api/mockups/${mockupId}/options`, options);
}
