import type { ScreenProof } from '../engine/proof/proof';

export type ProofState = 'waiting' | 'running' | 'done' | 'failed' | 'cancelled';

/** A screen's stored proof: its figures, the names of its pictures, and the boxes of its worst layers. */
export interface ProofScreen extends Omit<ScreenProof, 'pictures'> {
  /** Paths among the proof's pictures. */
  readonly pictures: { readonly mockup: string; readonly page: string; readonly difference: string };
}
