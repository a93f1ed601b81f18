import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { EmbeddedFont } from '../../core/type/fontBook';

/** The fonts that came inside a mockup, as they were read. */
export function embeddedFonts(mockup: Mockup, assets: Assets): EmbeddedFont[] {
  return Object.values(mockup.faces).flatMap(({ family, weight, italic, source, file }) => {
    const bytes = file === undefined ? undefined : assets.get(file);
    return source === 'embedded' && file !== undefined && bytes
      ? [{ family, weight, italic, asset: file, bytes }]
      : [];
  });
}
