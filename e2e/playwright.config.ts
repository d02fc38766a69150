import { defineConfig } from '@playwright/test';
import { CHROMIUM } from '../scripts/lib/chromium.mjs';

const port = process.env.E2E_PORT ?? '4690';

/** Real Chromium, real server, real database; `npm test` gives the database and a free port. */
export default defineConfig({
  testDir: '.',
  globalSetup: './first-administrator.ts',
  outputDir: '../test-results',
  timeout: 120_000,
  // Two cores run browser, server and database; what is right after six seconds is right.
  expect: { timeout: 15_000 },
  // One more than the cores: while one waits for the server, another goes on.
  workers: 3,
  retries: 0,
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    launchOptions: CHROMIUM,
    screenshot: 'only-on-failure',
    trace: 'off',
    // What a test cuts off is cut off for the page itself; `offline.spec.ts` lets it be kept.
    serviceWorkers: 'block',
  },
  webServer: {
    command: 'node server/dist/main.js',
    cwd: '..',
    env: { ...(process.env as Record<string, string>), PORT: port, HOST: '127.0.0.1', CIMBEL_DEMO: '1' },
    url: `http://127.0.0.1:${port}/healthz`,
    timeout: 60_000,
    reuseExistingServer: false,
  },
});
