import type { Box } from '../mockup/box';
import type { LayerKey } from '../mockup/layer';
import { rememberOf } from '../mockup/remember';

export type PictureFormat = 'svg' | 'png';

/** One file that a picture gives. Sizes in px of the file. */
export interface PictureFile {
  /** From the page's folder, such as `pictures/anchor.svg`. */
  readonly path: string;
  readonly format: PictureFormat;
  readonly width: number;
  readonly height: number;
  /** Px of the file for one px of the screen. */
  readonly scale: number;
}

/** How the engine draws a picture. */
export type PictureSource =
  /** A document that is the file itself, or is drawn for a raster file; bitmaps are named `asset:NAME`. */
  | { readonly kind: 'svg'; readonly svg: string }
  /** An embedded bitmap and nothing else. */
  | { readonly kind: 'bitmap'; readonly bitmap: string };

export interface Picture {
  readonly name: string;
  /** Every layer that shows it: equal pictures are one. */
  readonly layers: readonly LayerKey[];
  readonly source: PictureSource;
  readonly files: readonly PictureFile[];
}

export interface PicturePlan {
  readonly pictures: readonly Picture[];
  /** For every layer that is a picture: which one, and where it stands on the screen, whole px. */
  readonly placed: ReadonlyMap<LayerKey, { readonly picture: string; readonly box: Box }>;
}

/** The picture of a name; undefined when the plan has none. */
export function pictureNamed(plan: PicturePlan, name: string): Picture | undefined {
  return byName(plan).get(name);
}

const byName = rememberOf(
  ({ pictures }: PicturePlan) => new Map(pictures.map((picture) => [picture.name, picture])),
);

export const ASSET_ADDRESS = 'asset:';
