import { defineConfig } from '@playwright/test';

/** The whole product: real server, real database, Debian's browser. `bin/test e2e` starts them. */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 90_000,
  // Two cores run the database, the server and the browser at once.
  expect: { timeout: 10_000 },
  // One database: journeys take turns.
  workers: 1,
  reporter: [['list'], ['json']],
  use: {
    baseURL: process.env.WRENFERN_URL ?? 'http://localhost:4600',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    trace: 'retain-on-failure',
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
      ],
    },
  },
});
