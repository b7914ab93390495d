import { defineConfig } from '@playwright/test';

export default defineConfig({
  testDir: 'tests',
  testMatch: ['e2e/**/*.test.ts', 'trust/*.test.ts'],
  timeout: 180_000,
  expect: { timeout: 60_000 },
  retries: 0,
  workers: 1,
  forbidOnly: true,
  reporter: [['list'], ['json', { outputFile: '.test/e2e.json' }]],
  use: {
    baseURL: process.env.E2E_URL ?? 'http://localhost:4170',
    // Only tests of their own meet what runs beside the page: it answers before a test can.
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium', args: ['--no-sandbox', '--disable-dev-shm-usage'] },
  },
});
