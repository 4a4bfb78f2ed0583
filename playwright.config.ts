import { defineConfig } from '@playwright/test';
import { launchOptions } from './tools/browser';

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results',
  timeout: 480_000,
  // How long something takes is for the bench; here it comes or it does not, also where others have most of the machine. Only that two on one
  // Footplate see each other within a second is held to its second.
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
