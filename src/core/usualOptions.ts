import type { ConvertOptions } from './convert';

/** How a page is built as long as nobody said otherwise. */
export const USUAL_OPTIONS: ConvertOptions = { arrangement: 'flow', target: 'html' };
