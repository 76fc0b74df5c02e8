import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tools/browser';

export default defineConfig({
  testDir: 'e2e',
  timeout: 60_000,
  workers: 2,
  fullyParallel: true,
  retries: 0,
  // A slow machine with two browsers on it takes a while to open the demo.
  expect: { timeout: 15_000 },
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: 'http://127.0.0.1:8790',
    serviceWorkers: 'block',
    viewport: { width: 390, height: 844 },
    launchOptions: CHROMIUM,
  },
  webServer: { command: 'npx tsx server/serve.ts', url: 'http://127.0.0.1:8790', env: { PORT: '8790', HOST: '127.0.0.1' }, reuseExistingServer: !process.env.CI },
});
