import type { Browser } from 'playwright-core';
import sharp from 'sharp';
import { freeName } from '../../core/markup/freeName';
import type { Assets, Mockup, Screen } from '../../core/mockup/mockup';
import { fileEnding } from '../../core/pictures/picture';
import { screenSvg } from '../../core/pictures/standaloneSvg';
import { safeName } from '../../core/sort/outputNames';
import { ENCODERS } from '../pictures/encoders';
import { dataUri } from '../pictures/renderPicture';
import type { OutputFile } from '../produce';
import { pullSvg } from '../proof/pull';
import { withFonts, type PageFont } from '../proof/sameFonts';
import { printPdf } from './printPdf';

/** What whole screens are written as: pictures, one PDF of all, or a PDF of each. */
export const SCREEN_FORMATS = ['png', 'jpeg', 'webp', 'pdf', 'pdf-each'] as const;
export type ScreenFormat = (typeof SCREEN_FORMATS)[number];

const QUALITY = 88;

export interface ScreensInput {
  readonly browser: Browser;
  readonly mockup: Mockup;
  readonly assets: Assets;
  /** The screens that are written, in order. */
  readonly screens: readonly Screen[];
  readonly fonts: readonly PageFont[];
  readonly formats: readonly ScreenFormat[];
}

/** A screen as it is drawn: an SVG whose texts stay texts. */
export interface DrawnScreen {
  readonly name: string;
  readonly width: number;
  readonly height: number;
  readonly svg: Uint8Array;
}

/** Whole screens as files, as Chromium draws them; the letters of a PDF can be selected. */
export async function screenFiles({
  browser,
  mockup,
  assets,
  screens,
  fonts,
  formats,
}: ScreensInput): Promise<readonly OutputFile[]> {
  const taken = new Set<string>();
  const bitmapAddress = (name: string) => dataUri(name, mockup, assets);
  const drawn = screens.map((screen): DrawnScreen => {
    const name = freeName(safeName(screen.name) || 'screen', (each) => taken.has(each));
    taken.add(name);
    const svg = new TextEncoder().encode(screenSvg(screen, { mockup, outliner: null, bitmapAddress }));
    return { name, width: screen.width, height: screen.height, svg: withFonts(svg, fonts) };
  });
  const files: OutputFile[] = [];
  for (const format of formats) {
    if (format === 'pdf') files.push({ path: 'screens.pdf', bytes: await printPdf(browser, drawn) });
    else
      for (const screen of drawn)
        files.push(
          format === 'pdf-each'
            ? { path: `${screen.name}.pdf`, bytes: await printPdf(browser, [screen]) }
            : await pictureOf(browser, screen, format),
        );
  }
  return files;
}

async function pictureOf(
  browser: Browser,
  { name, svg, ...size }: DrawnScreen,
  format: 'png' | 'jpeg' | 'webp',
): Promise<OutputFile> {
  const [width, height] = [Math.ceil(size.width), Math.ceil(size.height)];
  const pulled = await pullSvg(browser, svg, size, { x: 0, y: 0, width, height });
  const path = `${name}.${fileEnding(format)}`;
  const file = { path, format, width, height, scale: 1, quality: QUALITY } as const;
  return { path, bytes: await ENCODERS[format](sharp(pulled), file).toBuffer() };
}
