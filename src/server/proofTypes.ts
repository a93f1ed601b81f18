import type { Box } from '../core/mockup/box';
import type { ScreenProof } from '../engine/proof/proof';

export type ProofState = 'waiting' | 'running' | 'done' | 'failed';

/** A screen's stored proof: its figures, the names of its pictures, and the boxes of its worst layers. */
export interface ProofScreen extends Pick<ScreenProof, 'name' | 'differing' | 'index'> {
  readonly worst: readonly { readonly layer: string; readonly differing: number; readonly box: Box | null }[];
  /** Paths among the proof's pictures. */
  readonly pictures: { readonly mockup: string; readonly page: string; readonly difference: string };
}
