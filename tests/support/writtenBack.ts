import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import type { Browser, CDPSession, Page } from '@playwright/test';
import pixelmatch from 'pixelmatch';
import sharp from 'sharp';
import type { Reading } from '../../src/core/read/reading';
import { screenSvg } from '../../src/core/pictures/standaloneSvg';
import { dataUri } from '../../src/engine/pictures/renderPicture';

/** The longer side of the pictures that are compared, px: small drawings are shown larger, so that details count. */
const SMALLEST = 480;
const LARGEST = 1600;

/** The first screen of a reading as an SVG of its own. Texts stay texts, but those in fonts that came inside the mockup. */
export function writeBack({ mockup, assets, book }: Reading): string {
  return screenSvg(mockup.screens[0]!, {
    mockup,
    outliner: (run) =>
      mockup.faces[run.face]?.source === 'embedded'
        ? book.outline(run.face, run.text, run.style.size, run.style.letterSpacing)
        : null,
    bitmapAddress: (name) => dataUri(name, mockup, assets),
    decimals: 8,
  });
}

/**
 * Compares a reading with the original, both as pictures in the same Chromium, without scripts and network.
 */
export class BackComparer {
  private constructor(
    private readonly page: Page,
    private readonly session: CDPSession,
    private readonly folder: string,
  ) {}

  static async open(browser: Browser): Promise<BackComparer> {
    const page = await browser.newPage({ viewport: { width: LARGEST, height: LARGEST } });
    const folder = await mkdtemp(path.join(os.tmpdir(), 'orden-back-'));
    await writeFile(path.join(folder, 'frame.html'), '<body style="margin:0"><img style="display:block">');
    await page.goto(pathToFileURL(path.join(folder, 'frame.html')).href);
    return new BackComparer(page, await page.context().newCDPSession(page), folder);
  }

  /**
   * The share of pixels that differ, 0–1 (pixelmatch, threshold 0.1); `difference` is the path of a picture
   * of the comparison.
   */
  async compare(original: Uint8Array, reading: Reading, difference?: string): Promise<number> {
    const { width: w, height: h } = reading.mockup.screens[0]!;
    const longer = Math.max(w, h);
    const scale = Math.min(Math.max(longer, SMALLEST), LARGEST) / longer;
    const [width, height] = [Math.max(1, Math.round(w * scale)), Math.max(1, Math.round(h * scale))];
    const first = await this.shoot(original, width, height);
    const second = await this.shoot(new TextEncoder().encode(writeBack(reading)), width, height);
    if (difference === undefined && first.equals(second)) return 0;
    const drawn = new Uint8Array(width * height * 4);
    const [one, other] = [await pixels(first), await pixels(second)];
    const count = pixelmatch(one, other, drawn, width, height, { threshold: 0.1 });
    if (difference !== undefined) {
      const raw = { width, height, channels: 4 } as const;
      const shown = await sharp(drawn, { raw }).png().toBuffer();
      await sharp({ create: { width: width * 3, height, channels: 4, background: '#fff' } })
        .composite([first, second, shown].map((input, at) => ({ input, left: at * width, top: 0 })))
        .png()
        .toFile(difference);
    }
    return count / (width * height);
  }

  async close(): Promise<void> {
    await this.page.close();
    await rm(this.folder, { recursive: true });
  }

  private async shoot(svg: Uint8Array, width: number, height: number): Promise<Buffer> {
    const file = path.join(this.folder, 'shown.svg');
    await writeFile(file, svg);
    await this.page.evaluate(
      async ([src, w, h]) => {
        const image = document.querySelector('img')!;
        image.width = w;
        image.height = h;
        image.src = src;
        await image.decode();
      },
      [`${pathToFileURL(file).href}?${Math.random()}`, width, height] as const,
    );
    const clip = { x: 0, y: 0, width, height, scale: 1 };
    const { data } = await this.session.send('Page.captureScreenshot', { clip, optimizeForSpeed: true });
    return Buffer.from(data, 'base64');
  }
}

async function pixels(png: Buffer): Promise<Uint8Array> {
  const raw = await sharp(png).ensureAlpha().raw().toBuffer();
  return new Uint8Array(raw.buffer, raw.byteOffset, raw.length);
}
