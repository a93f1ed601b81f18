import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/support/chromium';

const port = Number(process.env.PORT ?? 3100);

/** The real interface in Debian's Chromium against the production build, on the database that ./check made. */
export default defineConfig({
  testDir: 'e2e',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  // Each test has projects of its own, and mostly waits for the server.
  workers: 2,
  reporter: [['list'], ['json', { outputFile: '.orden/playwright.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
  },
  webServer: {
    command: `node scripts/serve.mjs 127.0.0.1 ${port}`,
    url: `http://127.0.0.1:${port}/api/projects`,
    reuseExistingServer: false,
    timeout: 30_000,
    env: { NEXT_TELEMETRY_DISABLED: '1' },
  },
});
