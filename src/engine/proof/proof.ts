import { readFile } from 'node:fs/promises';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import type { BuildRecord, RecordedLayer, RecordedScreen } from '../../core/buildRecord';
import type { Box } from '../../core/mockup/box';
import type { LayerId } from '../../core/mockup/layer';
import { BLEED } from '../../core/pictures/drawings';
import { svgBytes } from '../../core/read/unpack';
import { withoutAnimations } from './atRest';
import { comparePictures, type Comparison } from './compare';
import { fontsIn, withFonts } from './sameFonts';
import { pullPage, pullSvg, type Size } from './pull';
import { cutTexts, shiftsOf } from './shifts';
import type { ThemedSheet } from './themedSheets';

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

/** A layer with a figure of it. */
export interface LayerFigure {
  readonly layer: LayerId;
  readonly title: string;
  readonly box: Box;
  /** Px, or a difference of colour. */
  readonly figure: number;
}

/** A built page compared with its screen. */
export interface ScreenProof {
  readonly name: string;
  /** The theme that was shown. Absent for none. */
  readonly theme?: string;
  /** Share of differing pixels, 0–1. */
  readonly differing: number;
  /** Structural similarity, 0–1, 1 for equal. */
  readonly index: number;
  /** The layers that differ most, the worst first. */
  readonly worst: readonly LayerProof[];
  /** The layer that stands farthest from where it was drawn, px; null when none has a place. */
  readonly shift: LayerFigure | null;
  /** The layer whose mean colour is farthest off, CIEDE2000; null when none is off. */
  readonly colour: LayerFigure | null;
  /** Texts that the page cuts off, px. */
  readonly cut: readonly LayerFigure[];
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
  /** The screens in the looks of the themes that the page has. Absent for none. */
  readonly themed?: readonly ThemedSheet[];
  /** Counts screens, each in every theme. */
  readonly onProgress?: (done: number, total: number) => void;
}

/** The reference of a proof from an SVG or SVGZ: without animations, shown at the sheet's size. */
export function proofSheet(svg: Uint8Array, { width, height }: Size): ProofSheet {
  return { svg: withoutAnimations(svgBytes(svg)), width, height };
}

/** Thrown for a build that has nothing which shows what it draws. */
export class NotShown extends Error {
  override readonly name = 'NotShown';
  constructor(file: string) {
    super(`No proof can be pulled: nothing shows what ${file} draws; the findings of the build say why.`);
  }
}

const MOST_WORST = 20;

/**
 * Pulls a proof of every screen, without a theme and in each: page and mockup are drawn by the same Chromium at the
 * mockup's size, and compared.
 * @throws NotShown for a build that no browser shows
 */
export async function pullProof({
  browser,
  record,
  folder,
  sheet,
  themed = [],
  onProgress = () => undefined,
}: ProofInput): Promise<readonly ScreenProof[]> {
  const fonts = await fontsIn(folder);
  const plain = {
    ...sheet,
    svg: withFonts(
      sheet.svg,
      fonts.filter(({ isBrought }) => !isBrought),
    ),
  };
  const jobs = record.screens.flatMap((screen) => [
    { screen, theme: null, drawn: plain, corner: screen.origin },
    ...themed
      // A picture of what is drawn has no root that a theme could be set on.
      .filter((each) => each.screen === screen.id && !isPicture(shownFile(screen)))
      .map(({ theme, ...each }) => ({
        screen,
        theme,
        drawn: { ...each, svg: withFonts(each.svg, fonts) },
        corner: { x: BLEED, y: BLEED },
      })),
  ]);
  const proofs: ScreenProof[] = [];
  for (const [at, { screen, theme, drawn, corner }] of jobs.entries()) {
    onProgress(at, jobs.length);
    const size = { width: Math.ceil(screen.width), height: Math.ceil(screen.height) };
    const mockup = await pullSvg(browser, drawn.svg, drawn, { ...corner, ...size });
    const shown = shownFile(screen);
    const { picture: page, elements } = isPicture(shown)
      ? { picture: await readFile(path.join(folder, shown)), elements: [] }
      : await pullPage(browser, folder, shown, size, theme);
    const comparison = await comparePictures(mockup, page);
    const compared = { layers: screen.layers, spans: record.sourceMap[screen.file] ?? [], elements };
    const [farthest] = shiftsOf(compared);
    proofs.push({
      name: screen.name,
      ...(theme !== null && { theme }),
      differing: comparison.differing,
      index: comparison.index,
      worst: worstLayers(screen, record, comparison),
      shift: farthest ? figureOf(farthest.layer, farthest.px) : null,
      colour: farthestColour(screen, record, comparison),
      cut: cutTexts(compared).map(({ layer, px }) => figureOf(layer, px)),
      pictures: { mockup, page, difference: comparison.picture },
    });
  }
  return proofs;
}

/** The file that shows what a screen's own file draws: a page, or a picture. @throws NotShown where there is none */
function shownFile({ shown, file }: RecordedScreen): string {
  const path = shown ?? file;
  if (!isPicture(path) && !path.endsWith('.html')) throw new NotShown(file);
  return path;
}

function isPicture(path: string): boolean {
  return path.endsWith('.png');
}

function figureOf({ id, title, box, drawn }: RecordedLayer, figure: number): LayerFigure {
  return { layer: id, title, box: box ?? drawn?.box ?? EMPTY, figure };
}

const EMPTY: Box = { x: 0, y: 0, width: 0, height: 0 };

/** The leaf layers of a screen that are to be seen on its page, or were put aside, with their boxes. */
function seenLayers(screen: RecordedScreen, { decisions }: BuildRecord) {
  return screen.layers.flatMap((layer) => {
    const { id, kind, box, isHidden } = layer;
    const decision = decisions[id];
    if (!box || !decision || decision.outcome === 'sample') return [];
    const isAside = decision.outcome === 'aside';
    if (isAside && isHidden) return [];
    // Of what is put aside, each layer counts by its own pixels; of a picture, the whole.
    if (isAside ? kind === 'group' : decision.within !== null) return [];
    return kind === 'group' && decision.outcome === 'element' ? [] : [{ layer, box, isAside }];
  });
}

/** The pictures and leaf layers that differ, and the leaf layers that are not on the page. */
function worstLayers(
  screen: RecordedScreen,
  record: BuildRecord,
  comparison: Comparison,
): readonly LayerProof[] {
  return seenLayers(screen, record)
    .map(({ layer: { id, path, title }, box, isAside }): LayerProof => {
      return { layer: id, path, title, differing: comparison.within(box), box, isAside };
    })
    .filter(({ differing }) => differing > 0)
    .sort((one, other) => other.differing - one.differing)
    .slice(0, MOST_WORST);
}

function farthestColour(
  screen: RecordedScreen,
  record: BuildRecord,
  comparison: Comparison,
): LayerFigure | null {
  let most: LayerFigure | null = null;
  for (const { layer, box, isAside } of seenLayers(screen, record)) {
    const figure = isAside ? 0 : comparison.colourWithin(box);
    if (figure > (most?.figure ?? 0)) most = figureOf(layer, figure);
  }
  return most;
}
