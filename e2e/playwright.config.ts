import { defineConfig } from '@playwright/test';

export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  // A microphone that hums, allowed without asking.
  '--use-fake-device-for-media-stream',
  '--use-fake-ui-for-media-stream',
];

/** One address for each worker: what one of them changes, the other does not see. */
const ADDRESSES = (process.env.BASE_URL ?? 'http://127.0.0.1:8080').split(' ');

export default defineConfig({
  testDir: 'tests',
  outputDir: 'results',
  workers: ADDRESSES.length,
  reporter: [['list']],
  // A machine that does other work beside it is slow, not broken.
  timeout: 300_000,
  expect: { timeout: 60_000 },
  // What passes at the second try is told as flaky.
  retries: 1,
  use: {
    baseURL: ADDRESSES[Number(process.env.TEST_PARALLEL_INDEX ?? 0)],
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    timezoneId: 'Europe/London',
    locale: 'en-GB',
    screenshot: 'only-on-failure',
    actionTimeout: 60_000,
    contextOptions: { reducedMotion: 'reduce' },
    // Walks without signal allow it: everywhere else it would only fetch what nobody looks at.
    serviceWorkers: 'block',
    launchOptions: { executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium', args: CHROMIUM_FLAGS },
  },
});
