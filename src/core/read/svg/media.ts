import { match } from 'css-mediaquery';

/** The size of the window that a drawing is shown in, px. */
export interface Viewport {
  readonly width: number;
  readonly height: number;
}

/** Ranges such as `(width >= 600px)` in the earlier spelling (Media Queries 4, §2.4.3). */
function withoutRanges(query: string): string {
  return query
    .replace(
      /\(\s*(width|height)\s*(>=|<=)\s*([^()]+)\)/g,
      (_, side: string, sign: string, value: string) =>
        `(${sign === '>=' ? 'min' : 'max'}-${side}: ${value.trim()})`,
    )
    .replace(/\(\s*(width|height)\s*=\s*([^()]+)\)/g, '($1: $2)');
}

/**
 * Whether a media query list applies to a drawing at its own size, on a screen in light colours
 * (Media Queries 4). Null for a query that is not understood.
 */
export function matchesMedia(query: string, { width, height }: Viewport): boolean | null {
  if (query.trim() === '') return true;
  const values = {
    type: 'screen',
    width: `${width}px`,
    height: `${height}px`,
    'device-width': `${width}px`,
    'device-height': `${height}px`,
    'aspect-ratio': `${width}/${height}`,
    orientation: width > height ? 'landscape' : 'portrait',
    resolution: '1dppx',
    color: '8',
    'prefers-color-scheme': 'light',
    'prefers-reduced-motion': 'no-preference',
    'prefers-contrast': 'no-preference',
    hover: 'hover',
    pointer: 'fine',
  };
  try {
    return match(withoutRanges(query), values);
  } catch {
    return null;
  }
}
