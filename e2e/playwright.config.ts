import { defineConfig } from '@playwright/test';
import { CHROMIUM, QUIET } from './chromium';

export default defineConfig({
  timeout: 300_000,
  // A slow machine is no failing test: these only end what hangs.
  expect: { timeout: 30_000 },
  fullyParallel: false,
  workers: 1,
  retries: 0,
  forbidOnly: true,
  outputDir: '../test-results',
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ? [['list'], ['json']] : [['list']],
  use: {
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    launchOptions: { executablePath: CHROMIUM, args: QUIET },
    trace: 'retain-on-failure',
    actionTimeout: 30_000,
  },
  projects: [
    { name: 'journeys', testDir: './journeys' },
    { name: 'shots', testDir: './shots' },
    { name: 'bench', testDir: './bench' },
  ],
});
