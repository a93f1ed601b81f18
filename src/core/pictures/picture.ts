import type { Box } from '../mockup/box';
import type { LayerId } from '../mockup/layer';
import type { BitmapType } from '../mockup/mockup';
import type { SvgStyle } from './recipes/recipe';
import { memoizeByObject } from '../mockup/memoize';

export type PictureFormat = 'svg' | 'png' | 'jpeg' | 'webp' | 'avif' | 'gif' | 'pdf' | 'drawable';

/** The formats of text, which say what is drawn by shapes. */
export type VectorFormat = 'svg' | 'drawable';

/** True for a file of shapes as text. */
export function isVectorFormat(format: PictureFormat): format is VectorFormat {
  return format === 'svg' || format === 'drawable';
}

/** The formats that browsers show as pictures. */
export const SHOWN_FORMATS = [
  'avif',
  'gif',
  'jpeg',
  'png',
  'svg',
  'webp',
] as const satisfies readonly PictureFormat[];

/** The formats of a mockup's bitmaps. */
export const BITMAP_FORMATS: Readonly<Record<BitmapType, PictureFormat>> = {
  'image/png': 'png',
  'image/jpeg': 'jpeg',
  'image/webp': 'webp',
  'image/gif': 'gif',
  'image/svg+xml': 'svg',
};

/** The endings that are no names of formats. */
const ENDINGS: Readonly<Partial<Record<PictureFormat, string>>> = { jpeg: 'jpg', drawable: 'xml' };

/** The ending of a file's name. */
export function fileEnding(format: PictureFormat): string {
  return ENDINGS[format] ?? format;
}

/** One file of a picture. Sizes in px of the file. */
export interface PictureFile {
  /** From the page's folder, such as `pictures/anchor.svg`. */
  readonly path: string;
  readonly format: PictureFormat;
  readonly width: number;
  readonly height: number;
  /** Px of the file for one px of the screen. */
  readonly scale: number;
  /** True for a palette of at most 256 colours. */
  readonly palette?: true;
  /** 1–100, for lossy formats. */
  readonly quality?: number;
  readonly lossless?: true;
  /** How an SVG is written. Absent for the usual way. */
  readonly svg?: SvgStyle;
  /** The addresses of the bitmaps that lie beside an SVG, from its own folder, by their names in the mockup. */
  readonly bitmapAddresses?: Readonly<Record<string, string>>;
  /** True for a size that is a width or height in px, not a multiple. */
  readonly byWidth?: true;
  /** True for a file that no page shows. */
  readonly beside?: true;
  /** True for the bytes of an embedded bitmap as they are. */
  readonly isOriginal?: true;
}

/** The source that the engine draws a picture from. */
export type PictureSource =
  /** A document that is the file itself, or is rasterised; bitmaps are named `asset:NAME`. */
  | {
      readonly kind: 'svg';
      readonly svg: string;
      /** The same with letters that stay letters; absent where no file asks for it. */
      readonly withText?: string;
    }
  /** An embedded bitmap and nothing else. */
  | { readonly kind: 'bitmap'; readonly bitmap: string };

export interface Picture {
  readonly name: string;
  /** Every layer that shows it: equal pictures are shared. */
  readonly layers: readonly LayerId[];
  readonly source: PictureSource;
  readonly files: readonly PictureFile[];
  /** Why it has these files. */
  readonly reason: string;
  /** True where a person asked for these files. Absent for automatic ones. */
  readonly isAsked?: true;
}

/** A file that belongs to several pictures. */
export type SharedFile = {
  readonly path: string;
  readonly format: PictureFormat;
  /** Px; 0 for a document of symbols, which has no size of its own. */
  readonly width: number;
  readonly height: number;
  /** The names of its pictures. */
  readonly pictures: readonly string[];
} & (
  | { readonly kind: 'symbols' }
  /** A bitmap of the mockup that lies beside the SVGs that show it, as it is. */
  | { readonly kind: 'bitmap'; readonly bitmap: string }
);

export interface PicturePlan {
  readonly pictures: readonly Picture[];
  readonly sharedFiles: readonly SharedFile[];
  /** For every picture layer: its picture, and its box on the screen in whole px. */
  readonly placed: ReadonlyMap<LayerId, { readonly picture: string; readonly box: Box }>;
}

/** The files of a picture that a page may show. */
export function pageFiles({ files }: Pick<Picture, 'files'>): readonly PictureFile[] {
  // No browser shows a PDF as a picture.
  return files.filter(({ beside, format }) => !beside && format !== 'pdf');
}

/** The picture of a name; undefined when the plan has none. */
export function pictureNamed(plan: PicturePlan, name: string): Picture | undefined {
  return byName(plan).get(name);
}

/** Newer formats, which a browser takes where it knows them, the smallest first (common practice, no source). */
const NEWER_FORMATS = ['avif', 'webp'] as const;

function mainOf(picture: Pick<Picture, 'files'>): PictureFile | undefined {
  const files = pageFiles(picture);
  return files.find(({ format }) => !NEWER_FORMATS.some((newer) => newer === format)) ?? files[0];
}

/** The file that an element shows by itself: the first in a format that every browser knows, else the first. */
export function mainFile(plan: PicturePlan, name: string): PictureFile | undefined {
  const picture = pictureNamed(plan, name);
  return picture && mainOf(picture);
}

/** The newer formats that a picture has beside its main one. */
export function newerFormats(picture: Pick<Picture, 'files'>): readonly PictureFormat[] {
  const main = mainOf(picture);
  const files = pageFiles(picture);
  return NEWER_FORMATS.filter(
    (format) => format !== main?.format && files.some((file) => file.format === format),
  );
}

const byName = memoizeByObject(
  ({ pictures }: PicturePlan) => new Map(pictures.map((picture) => [picture.name, picture])),
);

export const ASSET_ADDRESS = 'asset:';
