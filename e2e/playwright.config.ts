import { defineConfig } from '@playwright/test';
import { TABLET_NAME } from './lido.ts';

/** Journeys through the real pages, two at a time; who changes something has a server of its own. */
export default defineConfig({
  testDir: '.',
  globalSetup: './seedOnce.ts',
  timeout: 60_000,
  // Two journeys at once on two cores: a page may take its time to open.
  expect: { timeout: 10_000 },
  workers: 2,
  // A shared machine stalls now and then; what fails twice is wrong.
  retries: process.env['CI'] ? 1 : 0,
  fullyParallel: true,
  reporter: [['list'], ['json', { outputFile: '../test-results/playwright.json' }]],
  outputDir: '../test-results/e2e',
  use: {
    viewport: { width: 1280, height: 800 },
    // A page that comes from its cache would hide what the server sends; one journey is about that.
    serviceWorkers: 'block',
    timezoneId: 'Europe/Lisbon',
    locale: 'en-GB',
    // Colours half way through a change are nobody's colours.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        `--host-resolver-rules=MAP ${TABLET_NAME} 127.0.0.1`,
      ],
    },
  },
});
