import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { LayerId } from '../../core/mockup/layer';
import { BLEED } from '../../core/pictures/drawings';
import type { Tags } from '../../core/sort/tag';
import { drawScreen, prepareDrawable } from '../pictures/drawLayers';
import type { ProofSheet } from './proof';

/** A screen of a mockup in the looks of a theme, with room around it. */
export interface ThemedSheet extends ProofSheet {
  readonly screen: LayerId;
  readonly theme: string;
}

/** The screens of a mockup as the samples of each theme make them look: what the themes of a page are compared with. */
export function themedSheets(
  mockup: Mockup,
  assets: Assets,
  tags: Tags,
  themes: readonly string[],
): readonly ThemedSheet[] {
  if (themes.length === 0) return [];
  const drawable = prepareDrawable(mockup, assets, tags);
  return drawable.mockup.screens.flatMap(({ id: screen, width, height }) =>
    themes.flatMap((theme): ThemedSheet[] => {
      const asked = { screen, of: 'all', layer: [], fit: false, appearance: `.${theme}` } as const;
      const svg = drawScreen(drawable, tags, asked);
      const size = { width: width + 2 * BLEED, height: height + 2 * BLEED };
      return svg === null ? [] : [{ screen, theme, svg: new TextEncoder().encode(svg), ...size }];
    }),
  );
}
