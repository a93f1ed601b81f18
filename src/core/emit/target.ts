import type { Mockup } from '../mockup/mockup';
import type { FaceId } from '../mockup/type';
import type { Page, Unit } from '../page/node';
import type { PicturePlan } from '../pictures/picture';
import type { StyleSheet } from '../style/styleSheet';

/** A font file of the page. */
export interface FontFile {
  readonly face: FaceId;
  /** Path from the page's folder, such as `fonts/commissioner-latin-400-normal.woff2`. */
  readonly path: string;
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly source: 'shipped' | 'embedded' | 'added';
  /** The shipped file or the mockup's asset. */
  readonly file: string;
}

export interface EmitInput {
  readonly mockup: Mockup;
  readonly pages: readonly Page[];
  readonly sheet: StyleSheet;
  readonly plan: PicturePlan;
  readonly fonts: readonly FontFile[];
  readonly unit: Unit;
  /** True to write each element's layer in `data-layer`. */
  readonly keyed?: boolean;
}

export interface EmittedFile {
  readonly path: string;
  readonly text: string;
}

/** A kind of output. */
export interface Target {
  readonly name: TargetName;
  readonly emit: (input: EmitInput) => readonly EmittedFile[];
  /** The file of a page. */
  readonly pageFile: (pages: readonly Page[], at: number) => string;
}

export const TARGET_NAMES = ['html'] as const;
export type TargetName = (typeof TARGET_NAMES)[number];
