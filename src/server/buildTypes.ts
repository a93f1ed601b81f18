import type { EmittedScreen } from '../core/emit/emit';
import type { PlainFinding } from '../engine/manifest';
import type { WrittenPicture } from '../engine/produce';

export type BuildState = 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';

/** The result of a finished build. */
export interface BuildResult {
  /** Size of the whole sheet, px. */
  readonly sheet: { readonly width: number; readonly height: number };
  readonly screens: readonly EmittedScreen[];
  readonly files: readonly { readonly path: string; readonly size: number }[];
  readonly pictures: readonly WrittenPicture[];
  readonly findings: readonly PlainFinding[];
  readonly ms: Readonly<Record<string, number>>;
}
