import type { Browser } from 'playwright-core';
import type { BuildRecord, RecordedScreen } from '../../core/buildRecord';
import type { Box } from '../../core/mockup/box';
import type { LayerId } from '../../core/mockup/layer';
import { svgBytes } from '../../core/read/unpack';
import { withoutAnimations } from './atRest';
import { comparePictures, type Comparison } from './compare';
import { fontsIn, withFonts } from './sameFonts';
import { pullPage, pullSvg, type Size } from './pull';

/** A layer and the share of its box's pixels that differ, 0–1. */
export interface LayerProof {
  readonly layer: LayerId;
  readonly path: string;
  /** The layer's name for people; absent in proofs of an earlier Orden. */
  readonly title?: string;
  readonly differing: number;
  /** Px of the screen. */
  readonly box: Box;
  /** True for a layer that is seen in the mockup and is not on the page. */
  readonly isAside: boolean;
}

/** A built page compared with its screen. */
export interface ScreenProof {
  readonly name: string;
  /** Share of differing pixels, 0–1. */
  readonly differing: number;
  /** Structural similarity, 0–1, 1 for equal. */
  readonly index: number;
  /** The layers that differ most, the worst first. */
  readonly worst: readonly LayerProof[];
  readonly pictures: { readonly mockup: Buffer; readonly page: Buffer; readonly difference: Buffer };
}

/** The reference of a proof: the whole mockup as SVG, its own file or a drawing of it, with its size in px. */
export interface ProofSheet extends Size {
  readonly svg: Uint8Array;
}

export interface ProofInput {
  readonly browser: Browser;
  readonly record: BuildRecord;
  /** The folder of the page's files. */
  readonly folder: string;
  readonly sheet: ProofSheet;
  /** Counts screens. */
  readonly onProgress?: (done: number, total: number) => void;
}

/** The reference of a proof from an SVG or SVGZ: without animations, shown at the sheet's size. */
export function proofSheet(svg: Uint8Array, { width, height }: Size): ProofSheet {
  return { svg: withoutAnimations(svgBytes(svg)), width, height };
}

const MOST_WORST = 20;

/**
 * Pulls a proof of every screen: page and mockup are drawn by the same Chromium at the mockup's size, and
 * compared.
 */
export async function pullProof({
  browser,
  record,
  folder,
  sheet,
  onProgress = () => undefined,
}: ProofInput): Promise<readonly ScreenProof[]> {
  const proofs: ScreenProof[] = [];
  const svg = withFonts(sheet.svg, await fontsIn(folder));
  for (const [at, screen] of record.screens.entries()) {
    onProgress(at, record.screens.length);
    const size = { width: Math.ceil(screen.width), height: Math.ceil(screen.height) };
    const mockup = await pullSvg(browser, svg, sheet, { ...screen.origin, ...size });
    const page = await pullPage(browser, folder, screen.file, size);
    const comparison = await comparePictures(mockup, page);
    proofs.push({
      name: screen.name,
      differing: comparison.differing,
      index: comparison.index,
      worst: worstLayers(screen, record, comparison),
      pictures: { mockup, page, difference: comparison.picture },
    });
  }
  return proofs;
}

/** The pictures and leaf layers that differ, and the leaf layers that are not on the page. */
function worstLayers(
  screen: RecordedScreen,
  { decisions }: BuildRecord,
  comparison: Comparison,
): readonly LayerProof[] {
  const proofs: LayerProof[] = [];
  for (const { id, path, title, kind, box, isHidden } of screen.layers) {
    const decision = decisions[id];
    if (!box || !decision || decision.outcome === 'sample') continue;
    const isAside = decision.outcome === 'aside';
    if (isAside && isHidden) continue;
    // Of what is put aside, each layer counts by its own pixels; of a picture, the whole.
    if (isAside ? kind === 'group' : decision.within !== null) continue;
    if (kind === 'group' && decision.outcome === 'element') continue;
    const differing = comparison.within(box);
    if (differing > 0) proofs.push({ layer: id, path, title, differing, box, isAside });
  }
  return proofs.sort((one, other) => other.differing - one.differing).slice(0, MOST_WORST);
}
