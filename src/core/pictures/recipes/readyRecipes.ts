import type { Recipe, RecipeFile } from './recipe';

const png = (size: string, more: Partial<RecipeFile> = {}): RecipeFile => ({ format: 'png', size, ...more });

/** Px for one dp by the name of the density (Android, “Support different pixel densities”, qualifier table; from memory). */
export const DENSITIES = { ldpi: 0.75, mdpi: 1, hdpi: 1.5, xhdpi: 2, xxhdpi: 3, xxxhdpi: 4 } as const;
/** Px for one point of the devices (Apple, Human Interface Guidelines, “Images”: @1x to @3x; from memory). */
const POINT_SCALES = [1, 2, 3] as const;
/** Widths of a picture that developers ask for, px (common practice, no source: about three). */
const WIDTHS = [480, 960, 1440] as const;

/** Recipes that every project has. */
export const READY_RECIPES: readonly Recipe[] = [
  { name: 'web', label: 'PNG at 1x and 2x', files: [png('1x'), png('2x')] },
  {
    name: 'icon',
    label: 'SVG, and PNG to be safe',
    files: [
      { format: 'svg', size: '1x', svg: { ids: 'prefixed', decimals: 3 } },
      png('1x', { forPage: false }),
      png('2x', { forPage: false }),
    ],
  },
  {
    name: 'symbols',
    label: 'SVG, and one file of symbols',
    symbols: 'symbols',
    files: [{ format: 'svg', size: '1x', svg: { ids: 'prefixed', decimals: 3 } }],
  },
  {
    name: 'photo',
    label: 'JPEG at 1x and 2x',
    files: [
      { format: 'jpeg', size: '1x', quality: 78 },
      { format: 'jpeg', size: '2x', quality: 70 },
    ],
  },
  {
    name: 'clear-photo',
    label: 'WebP with transparency at 1x and 2x',
    files: [
      { format: 'webp', size: '1x', quality: 82 },
      { format: 'webp', size: '2x', quality: 75 },
    ],
  },
  {
    name: 'responsive',
    label: 'AVIF, WebP and JPEG in three widths',
    files: (['avif', 'webp', 'jpeg'] as const).flatMap((format) =>
      WIDTHS.map((width) => ({ format, size: `${width}w`, quality: format === 'avif' ? 55 : 75 })),
    ),
  },
  {
    name: 'ios',
    label: 'PNG at @1x, @2x and @3x',
    files: POINT_SCALES.map((scale) =>
      png(`${scale}x`, { folder: 'ios', suffix: scale === 1 ? '' : `@${scale}x`, forPage: false }),
    ),
  },
  {
    name: 'android',
    label: 'PNG in folders by density',
    naming: 'resource',
    files: Object.entries(DENSITIES).map(([density, scale]) =>
      png(`${scale}x`, { folder: `android/drawable-${density}`, suffix: '', forPage: false }),
    ),
  },
];
