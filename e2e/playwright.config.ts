import { readFileSync } from 'node:fs';
import { defineConfig } from '@playwright/test';

/** Headless, and without connections of its own. */
const chromiumArguments = JSON.parse(
  readFileSync(new URL('./chromium-arguments.json', import.meta.url), 'utf8'),
) as string[];

export default defineConfig({
  testDir: 'journeys',
  // Room for a machine that is busy with something else; a journey that passes does not wait for it.
  timeout: 600_000,
  expect: { timeout: 60_000 },
  fullyParallel: true,
  // A journey waits for the page half of its time: three keep two cores busy.
  workers: 3,
  forbidOnly: true,
  // What takes minutes is tried with the deep tests.
  ...(process.env['WHICH_WAY_DEEP'] ? {} : { grepInvert: /@deep/ }),
  retries: 0,
  outputDir: '../test-results',
  reporter: [['list'], ['json', { outputFile: '../.cache/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    // What can not be touched is named, long before the journey's own time is over.
    actionTimeout: 60_000,
    // Recording every step takes a quarter of the time; `--trace on` records where something is looked into.
    trace: 'off',
    contextOptions: { reducedMotion: 'reduce' },
    // Each new context would fetch all pages beforehand; whoever tries offline use allows it.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['WHICH_WAY_CHROMIUM'] ?? '/usr/bin/chromium',
      args: chromiumArguments,
    },
  },
});
