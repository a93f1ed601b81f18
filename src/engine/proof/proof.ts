import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Browser } from 'playwright-core';
import type { Conversion } from '../../core/convert';
import type { LayerKey } from '../../core/mockup/layer';
import type { Screen } from '../../core/mockup/mockup';
import { walk } from '../../core/mockup/walk';
import { svgBytes } from '../../core/read/unpack';
import type { Reading } from '../../core/read/reading';
import { sheetSvg } from '../sheetSvg';
import { withoutAnimations } from './atRest';
import { comparePictures, type Comparison } from './compare';
import { pullPage, pullSvg, type Size } from './pull';

/** A layer and the share of its box's pixels that differ, 0–1. */
export interface LayerProof {
  readonly layer: LayerKey;
  readonly differing: number;
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

export interface ProofInput {
  readonly browser: Browser;
  readonly conversion: Conversion;
  /** The folder of the page's files. */
  readonly folder: string;
  /** The whole mockup as SVG: its own file, or a drawing of it. */
  readonly sheet: { readonly svg: Uint8Array } & Size;
}

/**
 * The reference of a proof: an SVG as it was given, without animations; for other files a drawing of the
 * mockup.
 */
export function proofSheet(
  bytes: Uint8Array,
  reading: Pick<Reading, 'mockup' | 'assets' | 'book'>,
): ProofInput['sheet'] {
  const { width = 0, height = 0 } = reading.mockup.screens[0] ?? {};
  const isSvg = reading.mockup.format === 'svg';
  return {
    svg: isSvg ? withoutAnimations(svgBytes(bytes)) : new TextEncoder().encode(sheetSvg(reading)),
    width,
    height,
  };
}

const MOST_WORST = 20;

/**
 * Pulls a proof of every screen: page and mockup are drawn by the same Chromium at the mockup's size, and
 * compared.
 */
export async function pullProof({
  browser,
  conversion,
  folder,
  sheet,
}: ProofInput): Promise<readonly ScreenProof[]> {
  const proofs: ScreenProof[] = [];
  for (const [at, screen] of conversion.mockup.screens.entries()) {
    const file = conversion.emission.screens[at]?.file;
    if (file === undefined) continue;
    const size = { width: Math.ceil(screen.width), height: Math.ceil(screen.height) };
    const mockup = await pullSvg(browser, sheet.svg, sheet, { ...screen.origin, ...size });
    const page = await pullPage(browser, pathToFileURL(path.resolve(folder, file)).href, size);
    const comparison = await comparePictures(mockup, page);
    proofs.push({
      name: screen.name,
      differing: comparison.differing,
      index: comparison.index,
      worst: worstLayers(screen, conversion, comparison),
      pictures: { mockup, page, difference: comparison.picture },
    });
  }
  return proofs;
}

/** The pictures and leaf layers that differ. */
function worstLayers(
  screen: Screen,
  { decisions, measures }: Conversion,
  comparison: Comparison,
): readonly LayerProof[] {
  const proofs: LayerProof[] = [];
  for (const { key, kind } of walk(screen.root)) {
    const decision = decisions.get(key);
    const box = measures.get(screen.key)?.get(key)?.painted;
    if (!box || !decision || decision.within !== null || decision.outcome === 'aside') continue;
    if (kind === 'group' && decision.outcome === 'element') continue;
    const differing = comparison.within(box);
    if (differing > 0) proofs.push({ layer: key, differing });
  }
  return proofs.sort((one, other) => other.differing - one.differing).slice(0, MOST_WORST);
}
