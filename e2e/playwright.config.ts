import { defineConfig } from '@playwright/test';
import { CHROMIUM, QUIET } from './chromium';

export default defineConfig({
  timeout: 300_000,
  // A slow machine is no failing test: these only end what hangs.
  expect: { timeout: 30_000 },
  fullyParallel: false,
  // A browser and its server take two cores: side by side, journeys only wait longer for each other.
  workers: 1,
  retries: 0,
  forbidOnly: true,
  outputDir: '../test-results',
  reporter: process.env.PLAYWRIGHT_JSON_OUTPUT_FILE ? [['list'], ['json']] : [['list']],
  use: {
    // To keep the whole app takes longer than many a journey: those that need it kept say so (keptApp.ts).
    serviceWorkers: 'block',
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    launchOptions: { executablePath: CHROMIUM, args: QUIET },
    // What was called and a picture of a failure. Pictures and pages of every step took a third of the machine.
    trace: { mode: 'retain-on-failure', screenshots: false, snapshots: false, sources: false },
    screenshot: 'only-on-failure',
    actionTimeout: 30_000,
  },
  projects: [
    { name: 'journeys', testDir: './journeys' },
    { name: 'shots', testDir: './shots' },
    { name: 'bench', testDir: './bench' },
  ],
});
