import type { Box } from '../mockup/box';
import type { LayerId } from '../mockup/layer';
import { memoizeByObject } from '../mockup/memoize';

export type PictureFormat = 'svg' | 'png' | 'jpeg' | 'webp' | 'gif';

/** One file of a picture. Sizes in px of the file. */
export interface PictureFile {
  /** From the page's folder, such as `pictures/anchor.svg`. */
  readonly path: string;
  readonly format: PictureFormat;
  readonly width: number;
  readonly height: number;
  /** Px of the file for one px of the screen. */
  readonly scale: number;
  /** True for the bytes of an embedded bitmap as they are. */
  readonly isOriginal?: true;
}

/** The source that the engine draws a picture from. */
export type PictureSource =
  /** A document that is the file itself, or is rasterised; bitmaps are named `asset:NAME`. */
  | { readonly kind: 'svg'; readonly svg: string }
  /** An embedded bitmap and nothing else. */
  | { readonly kind: 'bitmap'; readonly bitmap: string };

export interface Picture {
  readonly name: string;
  /** Every layer that shows it: equal pictures are shared. */
  readonly layers: readonly LayerId[];
  readonly source: PictureSource;
  readonly files: readonly PictureFile[];
}

export interface PicturePlan {
  readonly pictures: readonly Picture[];
  /** For every picture layer: its picture, and its box on the screen in whole px. */
  readonly placed: ReadonlyMap<LayerId, { readonly picture: string; readonly box: Box }>;
}

/** The picture of a name; undefined when the plan has none. */
export function pictureNamed(plan: PicturePlan, name: string): Picture | undefined {
  return byName(plan).get(name);
}

const byName = memoizeByObject(
  ({ pictures }: PicturePlan) => new Map(pictures.map((picture) => [picture.name, picture])),
);

export const ASSET_ADDRESS = 'asset:';
