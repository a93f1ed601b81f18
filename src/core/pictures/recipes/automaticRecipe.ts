import type { Layer } from '../../mockup/layer';
import type { Mockup } from '../../mockup/mockup';
import { walk } from '../../mockup/walk';
import { DENSITIES } from './readyRecipes';
import type { Recipe, RecipeFile } from './recipe';

/** A recipe that Orden chose, and why. */
export interface ChosenRecipe extends Recipe {
  readonly reason: string;
}

/** Qualities at which a photo looks the same to people, by the size of its px (common practice, no source). */
const [QUALITY, QUALITY_FINE] = [80, 72];

/** Px of the longest side of a file at 2x. */
const LONGEST_FINE = 8192;

/** What a picture is, beside what is in it. */
export interface PictureFacts {
  /** Px of the longer side on the screen. */
  readonly longest: number;
  /** Px of the bitmap for one px of the screen; infinite for other content. */
  readonly density: number;
  /** True for shapes alone, without effects. */
  readonly isPlain: boolean;
  /** True for a bitmap that leaves no px of the picture clear. */
  readonly fillsBox: boolean;
}

/** What a platform shows of pictures. */
export interface PictureSupport {
  /** The lossy formats that it reads: JPEG alone, or newer ones too. */
  readonly photos: 'jpeg' | 'all';
  /**
   * Which SVGs it draws as browsers do: those without filters, masks, clips, patterns, texts and bitmaps, those that
   * are vector drawables, or all.
   */
  readonly svg: 'plain' | 'drawable' | 'all';
  /** True where every file stands in the folder of its density. */
  readonly hasDensities?: true;
}

export const ALL_PICTURES: PictureSupport = { photos: 'all', svg: 'all' };

/**
 * The recipe of a picture that nobody chose one for, from what is in it: drawings stay vectors, photos are lossy, and
 * flat bitmaps keep every px.
 */
export function automaticRecipe(
  layers: readonly Layer[],
  { bitmaps }: Pick<Mockup, 'bitmaps'>,
  { longest, density, fillsBox, isPlain }: PictureFacts,
  { photos, svg, hasDensities }: PictureSupport,
): ChosenRecipe {
  const found = layers.flatMap((layer) => walk(layer)).filter((layer) => layer.kind === 'bitmap');
  const drawsSvg = svg === 'all' || (svg === 'plain' && isPlain);
  if (found.length === 0 && drawsSvg)
    return { name: 'vector', reason: 'shapes only: a vector', files: [{ format: 'svg', size: '1x' }] };
  const isPhoto = found.some(({ bitmap }) => bitmaps[bitmap]?.type === 'image/jpeg');
  if (hasDensities) return byDensity(isPhoto && fillsBox);
  // A bitmap with only the px of 1x gains nothing at 2x.
  const isFine = density * 1.34 >= 2 && 2 * longest <= LONGEST_FINE;
  const sizes = isFine ? ['1x', '2x'] : ['1x'];
  if (!isPhoto || (!fillsBox && photos === 'jpeg'))
    return {
      name: 'flat',
      reason: found.length === 0 ? 'shapes with effects: PNG' : 'a bitmap without loss: PNG',
      files: sizes.map((size) => ({ format: 'png', size })),
    };
  const files = (format: 'jpeg' | 'webp') =>
    sizes.map((size): RecipeFile => ({ format, size, quality: size === '1x' ? QUALITY : QUALITY_FINE }));
  return fillsBox
    ? { name: 'photo', reason: 'a photo that fills its box: JPEG', files: files('jpeg') }
    : { name: 'clear-photo', reason: 'a photo with transparency around it: WebP', files: files('webp') };
}

/** Files in the folders of densities, under names of resources (Android, “Support different pixel densities”). */
function byDensity(isPhoto: boolean): ChosenRecipe {
  const files = Object.entries(DENSITIES).map(([density, scale]): RecipeFile => ({
    format: isPhoto ? 'jpeg' : 'png',
    size: `${scale}x`,
    folder: `res/drawable-${density}`,
    suffix: '',
    ...(isPhoto && { quality: QUALITY }),
  }));
  return { name: 'densities', naming: 'resource', reason: 'a file for each density', files };
}
