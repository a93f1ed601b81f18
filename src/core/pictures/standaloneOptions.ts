import type { TextRun } from '../mockup/layer';
import type { Mockup } from '../mockup/mockup';

/** Converts text to outlines; null keeps it as text. */
export type Outliner = ((run: TextRun) => string | null) | null;

/** The address of a bitmap inside the SVG. */
export type BitmapAddress = (bitmap: string) => string;

export interface StandaloneOptions {
  readonly mockup: Mockup;
  readonly outliner: Outliner;
  readonly bitmapAddress: BitmapAddress;
  /** Decimals of lengths; 3 by default. */
  readonly decimals?: number;
}
