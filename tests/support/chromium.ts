import { chromium, type Browser } from '@playwright/test';

/** Debian's Chromium, without anything that looks for the network. */
export function launchChromium(): Promise<Browser> {
  return chromium.launch({
    executablePath: '/usr/bin/chromium',
    chromiumSandbox: false,
    args: [
      '--disable-gpu',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}
