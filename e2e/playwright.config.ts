import { defineConfig } from '@playwright/test';
import { BROWSER_PATH } from './rig/browser.ts';

/** One server for each browser, so that none sees the other's classes; `bin/test` starts them. */
const urls = (
  process.env.WRENFERN_URLS ??
  process.env.WRENFERN_URL ??
  'http://localhost:4600'
).split(' ');

/** The whole product: real server, real database, Debian's browser. `bin/test e2e` starts them. */
export default defineConfig({
  testDir: '.',
  outputDir: '../test-results',
  timeout: 300_000,
  // Two cores run two browsers, two servers and their database at once.
  expect: { timeout: 60_000 },
  // A machine that is lent to others for a minute is no fault of ours: what passes then is told as flaky.
  retries: 1,
  workers: urls.length,
  reporter: [['list'], ['json']],
  use: {
    baseURL: urls[Number(process.env.TEST_PARALLEL_INDEX ?? 0) % urls.length] ?? '',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    // What a journey intercepts must not be answered from the device; the one about no line asks for it.
    serviceWorkers: 'block',
    // Pictures that move are drawn by the processor here; a journey about motion asks for it.
    contextOptions: { reducedMotion: 'reduce' },
    // A trace of every step doubles the time; ask for it when a journey fails.
    trace: process.env.WRENFERN_TRACE ? 'retain-on-failure' : 'off',
    launchOptions: {
      executablePath: BROWSER_PATH,
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
