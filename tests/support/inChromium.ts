import { mkdtemp, rm } from 'node:fs/promises';
import os from 'node:os';
import path from 'node:path';
import type { Browser } from 'playwright-core';
import { launchChromium } from './chromium';

/** Chromium, and a folder to build into, for the tests of one file; both are there once the tests run. */
export function inChromium(): { readonly browser: Browser; readonly folder: string } {
  const here = {} as { browser: Browser; folder: string };
  beforeAll(async () => {
    here.browser = await launchChromium();
    here.folder = await mkdtemp(path.join(os.tmpdir(), 'orden-pages-'));
  });
  afterAll(async () => {
    await here.browser.close();
    await rm(here.folder, { recursive: true });
  });
  return here;
}
