import { resourceName } from '../../sort/outputNames';
import { fileEnding, type PictureFile } from '../picture';
import { FILE_FORMATS, type Recipe, type RecipeFile } from './recipe';

/** Px of a raster file's longest side. */
export const LARGEST_SIDE = 16_384;
const USUAL_QUALITY = 80;

/** A file of a picture that a recipe asks for, and why it cannot be made. */
export interface RefusedFile {
  readonly path: string;
  readonly why: string;
}

/** The files that a recipe makes of a picture. */
export interface RecipeFiles {
  readonly files: readonly PictureFile[];
  readonly refused: readonly RefusedFile[];
}

/** The picture that files are made of: px of the screen. */
export interface PictureShape {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** True for one that can be drawn at any size without loss. */
  readonly isVector: boolean;
}

/** The files of a picture by a recipe: their paths, and their sizes in whole px. */
export function recipeFiles(picture: PictureShape, recipe: Recipe): RecipeFiles {
  const files: PictureFile[] = [];
  const refused: RefusedFile[] = [];
  for (const asked of recipe.files) {
    const path = pathOf(picture.name, asked, recipe);
    const scale = scaleOf(asked.size, picture);
    const sideOf = (length: number) => Math.max(1, Math.round(length * scale));
    const [width, height] = [sideOf(picture.width), sideOf(picture.height)];
    if (asked.format === 'svg' && !picture.isVector && !asked.svg?.bitmaps)
      refused.push({
        path,
        why: 'a bitmap has no vector form; "bitmaps": "embedded" or "beside" puts it into an SVG',
      });
    else if (Math.max(width, height) > LARGEST_SIDE)
      refused.push({ path, why: `it would be ${width}×${height} px, and ${LARGEST_SIDE} is the most` });
    else files.push(fileOf(path, asked, { width, height, scale }, picture));
  }
  return { files, refused };
}

function fileOf(
  path: string,
  { format, size, quality = USUAL_QUALITY, lossless = false, svg, forPage = true }: RecipeFile,
  shape: Pick<PictureFile, 'width' | 'height' | 'scale'>,
  { isVector }: PictureShape,
): PictureFile {
  // An SVG that is shown as a picture loads no other file (SVG 2, §2.2.1: secure static mode).
  const isShown = forPage && (isVector || svg?.bitmaps !== 'beside');
  const isLossy = (format === 'webp' || format === 'avif') && !lossless;
  return {
    path,
    format: FILE_FORMATS[format],
    ...shape,
    ...(format === 'png8' && { palette: true as const }),
    ...((format === 'jpeg' || isLossy) && { quality }),
    ...(lossless && { lossless: true as const }),
    ...(format === 'svg' && svg && { svg }),
    ...(size.endsWith('x') ? {} : { byWidth: true as const }),
    ...(!isShown && { beside: true as const }),
  };
}

function pathOf(
  name: string,
  { format, size, folder, prefix = '', suffix }: RecipeFile,
  recipe: Recipe,
): string {
  const parts = name.split('/');
  const own = parts.pop() ?? name;
  const usual =
    size === '1x' || format === 'svg' || format === 'pdf' ? '' : size.endsWith('x') ? `@${size}` : `-${size}`;
  const whole = `${prefix}${own}${suffix ?? usual}`;
  const file = recipe.naming === 'resource' ? resourceName(whole) : whole;
  // Resource folders have no folders inside.
  const folders = recipe.naming === 'resource' ? [] : parts;
  return [folder ?? 'pictures', ...folders, `${file}.${fileEnding(FILE_FORMATS[format])}`].join('/');
}

/** Px of the file for one px of the screen. */
function scaleOf(size: string, { width, height }: PictureShape): number {
  const figure = parseFloat(size);
  if (size.endsWith('w')) return figure / width;
  return size.endsWith('h') ? figure / height : figure;
}
