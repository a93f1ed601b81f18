import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { GivenFont } from '../../core/type/fontBook';

/** The fonts of a mockup, embedded and added, as they were read. */
export function givenFonts(mockup: Mockup, assets: Assets): GivenFont[] {
  return Object.values(mockup.faces).flatMap(({ family, weight, italic, source, file }) => {
    const bytes = file === undefined ? undefined : assets.get(file);
    const given = source === 'embedded' || source === 'added';
    return given && file !== undefined && bytes
      ? [{ family, weight, italic, source, asset: file, bytes }]
      : [];
  });
}
