import type { Page } from 'playwright-core';

/** What Chromium says when its compositor had no frame in time, as on a busy machine; the next frame is there. */
const NO_FRAME = /Unable to capture screenshot/;

/** How often a frame is asked for. */
const MOST_TRIES = 5;

/** Area of a page, px. */
interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/**
 * A screenshot of an area of a page, PNG.
 * @param clip the whole viewport where nothing is given
 * @throws Error of the browser, when it gives no frame after several tries
 */
export async function screenshot(
  page: { screenshot(options?: { clip: Area }): ReturnType<Page['screenshot']> },
  clip?: Area,
): Promise<Buffer> {
  for (let tries = 1; ; tries++) {
    try {
      return await page.screenshot(clip && { clip });
    } catch (error) {
      if (tries === MOST_TRIES || !NO_FRAME.test(String(error))) throw error;
    }
  }
}
