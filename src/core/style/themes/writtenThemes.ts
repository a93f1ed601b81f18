import type { ConvertOptions } from '../../convert';

/** The themes that are asked for, those of a reader's system included. */
export function writtenThemes({
  themes = [],
  schemes = {},
}: Pick<ConvertOptions, 'themes' | 'schemes'>): readonly string[] {
  return [...new Set([...themes, ...Object.values(schemes)])];
}
