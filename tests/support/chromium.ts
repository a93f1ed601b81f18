import { existsSync } from 'node:fs';
import { chromium, type Browser, type LaunchOptions } from '@playwright/test';

/** The headless one has no windows of its own to keep up; the other draws the same. */
const PROGRAMS = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'];

/** Debian's Chromium, without anything that looks for the network. */
export const CHROMIUM: LaunchOptions = {
  executablePath: PROGRAMS.find((path) => existsSync(path)) ?? PROGRAMS[0]!,
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

export function launchChromium(): Promise<Browser> {
  return chromium.launch(CHROMIUM);
}
