import { defineConfig } from '@playwright/test';

/** Debian's Chromium, headless, kept off the network but for the app under test. */
export const CHROMIUM = {
  executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
};

export default defineConfig({
  testDir: '.',
  // Generous: these machines can be ten times slower for a while. Speed is measured elsewhere.
  timeout: 480_000,
  expect: { timeout: 90_000 },
  // A machine that stands still for a minute fails whatever waits on it. What fails for a reason fails twice, and what
  // passed at the second try only is said.
  retries: 1,
  fullyParallel: false,
  workers: 1,
  forbidOnly: true,
  outputDir: '../test-results/browser',
  reporter: [
    ['list'],
    ['json', { outputFile: process.env.PLAYWRIGHT_JSON_OUTPUT_NAME ?? '../test-results/browser.json' }],
  ],
  use: {
    baseURL: process.env.INCH_TOWER_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: CHROMIUM,
    // A button that never comes alive fails its test, not the whole run.
    actionTimeout: 90_000,
    screenshot: 'only-on-failure',
  },
});
