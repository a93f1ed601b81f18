import { chromium, type Browser, type LaunchOptions } from '@playwright/test';

/** Debian's Chromium, without anything that looks for the network. */
export const CHROMIUM: LaunchOptions = {
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
};

export function launchChromium(): Promise<Browser> {
  return chromium.launch(CHROMIUM);
}
