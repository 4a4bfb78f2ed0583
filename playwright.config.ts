import { defineConfig } from '@playwright/test';
import { launchOptions } from './tools/browser';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  timeout: 480_000,
  // No test is a race: what comes at all has come, on a machine of which others take most as well. Speed is for the bench.
  expect: { timeout: 30_000 },
  fullyParallel: true,
  workers: 2,
  // Two cores that browsers, server and database share lose a frame now and then. What passes only the second time is named, and looked at.
  retries: 1,
  use: {
    actionTimeout: 60_000,
    baseURL: process.env.JORAM_URL ?? 'http://127.0.0.1:4870',
    launchOptions,
    timezoneId: 'UTC',
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    // Each test comes with an empty browser: keeping the whole application on it is for the test that is about that.
    serviceWorkers: 'block',
    trace: 'off'
  }
});
