import type { LayerId } from '../mockup/layer';

/** The code that a layer wrote in a file: its element, and the lines of that. */
export interface SourceSpan {
  readonly layer: LayerId;
  /** Layers merged into that element. */
  readonly merged: readonly LayerId[];
  /** First and last line, from 1. */
  readonly line: number;
  readonly lastLine: number;
  /** Index of the element among all elements inside the screen's own, in document order. */
  readonly element: number;
}

/** The spans of each file by its path, in document order, as the printer recorded them. */
export type SourceMap = Readonly<Record<string, readonly SourceSpan[]>>;
