import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tools/browser';

export default defineConfig({
  testDir: 'e2e',
  // How soon something comes is the machine's business, and its speed varies threefold: these end only what hangs.
  timeout: 120_000,
  workers: 2,
  fullyParallel: true,
  retries: 0,
  expect: { timeout: 30_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${process.env.AUBADE_PORT}`,
    serviceWorkers: 'block',
    viewport: { width: 390, height: 844 },
    launchOptions: CHROMIUM,
  },
  // Any free port: another program on a fixed one would fail every test, or answer for us.
  webServer: {
    command: 'npx tsx server/serve.ts',
    env: { PORT: '0', HOST: '127.0.0.1' },
    wait: { stdout: /Aubade is at http:\/\/127\.0\.0\.1:(?<aubade_port>\d+)/ },
  },
});
