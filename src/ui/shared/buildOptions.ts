import type { ConvertOptions } from '../../core/convert';
import { sendJson } from './request';

/** Keeps how the page is to be built: one setting for all steps. */
export function keepOptions(mockupId: string, options: ConvertOptions): Promise<ConvertOptions> {
  return sendJson<ConvertOptions>('PUT', `/api/mockups/${mockupId}/options`, options);
}
