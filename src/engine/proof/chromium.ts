import { existsSync } from 'node:fs';
import { chromium, type Browser, type LaunchOptions } from 'playwright-core';

/** The paths of Debian's packages: the browser, or its headless shell. */
const PROGRAMS = ['/usr/bin/chromium', '/usr/bin/chromium-headless-shell'];

/** Debian's Chromium without network activity of its own. */
export const CHROMIUM: LaunchOptions = {
  executablePath: PROGRAMS.find((path) => existsSync(path)) ?? PROGRAMS[0],
  chromiumSandbox: false,
  args: [
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

/** Thrown when Chromium is missing. */
export class NoChromium extends Error {
  override readonly name = 'NoChromium';
  constructor() {
    super(
      'No proof can be pulled: Chromium is not on this machine. Install it with apt-get install chromium.',
    );
  }
}

/** @throws NoChromium when it is not installed */
export async function launchChromium(): Promise<Browser> {
  if (!PROGRAMS.some((path) => existsSync(path))) throw new NoChromium();
  return chromium.launch(CHROMIUM);
}
