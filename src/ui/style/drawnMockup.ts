import type { Screen } from '../../core/mockup/mockup';
import { BLEED } from '../../core/pictures/drawings';
import { applyStructuralTags } from '../../core/sort/structuralTags';
import { themeNames } from '../../core/style/themes/themeNames';
import type { OpenedMockup } from '../../server/useCases/openMockup';
import type { DrawnSheet } from './Specimen';

/** The pictures of a mockup: as it was read, and each screen in every theme that it has samples of. */
export interface DrawnMockup {
  readonly asRead: DrawnSheet;
  readonly screens: readonly Screen[];
  readonly inThemes: (screen: Screen) => readonly (DrawnSheet & { readonly theme: string })[];
}

/** Null for a mockup without a screen. */
export function drawnMockup({ id, picture, mockup, tags, lastEdit }: OpenedMockup): DrawnMockup | null {
  const [sheet] = mockup.screens;
  if (!sheet) return null;
  const said = new Map(Object.entries(tags));
  const { screens } = applyStructuralTags(mockup, said);
  const corners = new Map(screens.map((screen) => [screen.id, screen.origin]));
  const themes = themeNames(mockup, said);
  return {
    asRead: {
      src: `/api/mockups/${id}/picture?reading=${picture}`,
      sheet,
      cornerOf: (screen) => corners.get(screen) ?? { x: 0, y: 0 },
    },
    screens,
    inThemes: (screen) =>
      themes.map((theme) => {
        const asked = new URLSearchParams({
          screen: screen.id,
          of: 'all',
          reading: picture,
          edited: lastEdit,
          appearance: `.${theme}`,
        });
        return {
          theme,
          src: `/api/mockups/${id}/drawing?${asked}`,
          sheet: { width: screen.width + 2 * BLEED, height: screen.height + 2 * BLEED },
          cornerOf: () => ({ x: BLEED, y: BLEED }),
        };
      }),
  };
}
