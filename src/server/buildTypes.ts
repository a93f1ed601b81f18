import type { EmittedScreen } from '../core/emit/emit';
import type { PlainFinding } from '../engine/manifest';
import type { LayerId } from '../core/mockup/layer';
import type { WrittenPicture } from '../engine/produce';

export type BuildState = 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';

/** A finding of a build; builds of an earlier Orden lack what leads to its layer. */
export interface BuiltFinding extends PlainFinding {
  readonly id?: LayerId;
  /** The name of the layer for people. */
  readonly title?: string;
}

/** A file of a picture; builds of an earlier Orden lack why it was made and for whom. */
export type BuiltPicture = Pick<WrittenPicture, 'file' | 'format' | 'width' | 'height' | 'bytes'> &
  Partial<WrittenPicture>;

/** The result of a finished build. */
export interface BuildResult {
  /** Size of the whole sheet, px. */
  readonly sheet: { readonly width: number; readonly height: number };
  readonly screens: readonly EmittedScreen[];
  readonly files: readonly { readonly path: string; readonly size: number }[];
  readonly pictures: readonly BuiltPicture[];
  readonly findings: readonly BuiltFinding[];
  readonly ms: Readonly<Record<string, number>>;
}
