import sharp from 'sharp';
import type { Assets, Mockup } from '../../core/mockup/mockup';
import type { Picture, PictureFile } from '../../core/pictures/picture';
import { LOOKS_SAME, type TrialFormat } from '../../core/pictures/trialFormats';
import { comparePictures } from '../proof/compare';
import { renderPicture } from './renderPicture';

/** What a file in a format would be at a quality. */
export interface TrialPoint {
  /** 1–100. */
  readonly quality: number;
  readonly bytes: number;
  /** Mean structural similarity to the PNG without loss, 0–1. */
  readonly index: number;
}

/** The qualities of a format that were tried on one picture. */
export interface Trial {
  readonly format: TrialFormat;
  /** By rising quality; one for a format without qualities. */
  readonly points: readonly TrialPoint[];
  /** The lowest quality that still looks the same; null where none does. */
  readonly proposed: number | null;
  /** Bytes of the PNG without loss. */
  readonly plain: number;
}

/** Qualities that are tried to draw a curve. */
const GRID = [35, 50, 65, 80, 92] as const;
/** The lowest and highest quality that is proposed. */
const [LOWEST, HIGHEST] = [20, 96];

/** Px of a side of the part by which a quality is searched. */
const SEARCHED = 640;

/** The size of a trial, px of the file for one px of the screen. */
export interface TrialSize {
  readonly width: number;
  readonly height: number;
  readonly scale: number;
}

/** The file of a trial. */
export function trialFile(format: TrialFormat | 'png', quality: number, size: TrialSize): PictureFile {
  const isPng = format === 'png' || format === 'png8';
  return {
    path: `trial.${format}`,
    format: format === 'png8' ? 'png' : format,
    ...size,
    ...(format === 'png8' && { palette: true as const }),
    ...(!isPng && { quality }),
  };
}

/** Tries the qualities of a format on a picture, and searches the lowest that still looks the same. */
export async function tryFormat(
  picture: Picture,
  format: TrialFormat,
  size: TrialSize,
  mockup: Mockup,
  assets: Assets,
): Promise<Trial> {
  const render = (name: TrialFormat | 'png', quality: number) =>
    renderPicture(picture, trialFile(name, quality, size), mockup, assets);
  const plain = await render('png', 100);
  const reference = await seenPart(plain);
  const known = new Map<number, TrialPoint>();
  const at = async (quality: number): Promise<TrialPoint> => {
    const found = known.get(quality);
    if (found) return found;
    const file = await render(format, quality);
    const { index } = await comparePictures(reference, await seenPart(file));
    const point = { quality, bytes: file.length, index };
    known.set(quality, point);
    return point;
  };
  if (format === 'png8') {
    const point = await at(100);
    return { format, points: [point], proposed: point.index >= LOOKS_SAME ? 100 : null, plain: plain.length };
  }
  for (const quality of GRID) await at(quality);
  const proposed = await lowestThatLooksSame(at);
  const points = [...known.values()].toSorted((one, other) => one.quality - other.quality);
  return { format, points, proposed, plain: plain.length };
}

/** Bisects: the similarity rises with the quality. */
async function lowestThatLooksSame(at: (quality: number) => Promise<TrialPoint>): Promise<number | null> {
  if ((await at(HIGHEST)).index < LOOKS_SAME) return null;
  let [below, above] = [LOWEST - 1, HIGHEST];
  while (above - below > 3) {
    const middle = Math.round((below + above) / 2);
    if ((await at(middle)).index >= LOOKS_SAME) above = middle;
    else below = middle;
  }
  return above;
}

/** The middle of a picture on white, as far as it is compared. */
async function seenPart(bytes: Uint8Array): Promise<Buffer> {
  const whole = sharp(bytes).flatten({ background: '#fff' });
  const { width, height } = await sharp(bytes).metadata();
  const [across, down] = [Math.min(width, SEARCHED), Math.min(height, SEARCHED)];
  return whole
    .extract({
      left: Math.floor((width - across) / 2),
      top: Math.floor((height - down) / 2),
      width: across,
      height: down,
    })
    .png({ compressionLevel: 1 })
    .toBuffer();
}
