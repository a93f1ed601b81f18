import { existsSync } from 'node:fs';
import { chromium, type Browser, type LaunchOptions } from 'playwright-core';

/** The paths of Debian's packages: the browser, or its headless shell. */
const PROGRAMS = ['/usr/bin/chromium', '/usr/bin/chromium-headless-shell'];

/** Chromium's sandbox needs an ordinary user. */
const IS_ROOT = process.getuid?.() === 0;

/** Debian's Chromium without network activity of its own. */
export const CHROMIUM: LaunchOptions = {
  executablePath: PROGRAMS.find((path) => existsSync(path)) ?? PROGRAMS[0],
  chromiumSandbox: !IS_ROOT,
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
  try {
    return await chromium.launch(CHROMIUM);
  } catch (error) {
    // A machine may forbid what the sandbox is made of; a page without scripts and network is drawn without it then.
    if (IS_ROOT || !/sandbox/i.test(String(error))) throw error;
    return chromium.launch({ ...CHROMIUM, chromiumSandbox: false });
  }
}
