import sharp from 'sharp';

export interface ShrinkJob {
  /** A picture that Orden wrote, SVG. */
  readonly svg: Uint8Array;
}

/** Px, twice the size on the shelf, for dense screens. */
const [WIDTH, HEIGHT] = [384, 240];

/** The picture as a WebP of at most 384 × 240 px. */
export function shrinkJob({ svg }: ShrinkJob): Promise<Uint8Array> {
  // Orden wrote the SVG itself, so its length is not limited.
  return sharp(svg, { unlimited: true, limitInputPixels: false })
    .resize(WIDTH, HEIGHT, { fit: 'inside' })
    .webp()
    .toBuffer();
}
