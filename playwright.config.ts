import { defineConfig } from '@playwright/test';
import { args, executablePath } from './build/chromium.mjs';
import { portOf, WORKERS } from './tests/Browser/workers';

export default defineConfig({
  testDir: 'tests/Browser',
  timeout: 120_000,
  expect: { timeout: 20_000 },
  fullyParallel: true,
  forbidOnly: Boolean(process.env.CI),
  workers: WORKERS,
  retries: 0,
  reporter: [['list'], ['junit']],
  outputDir: '.cache/playwright',
  use: {
    viewport: { width: 1280, height: 800 },
    // Every browser would put the whole application on its device; the journeys without a network let it.
    serviceWorkers: 'block',
    contextOptions: { reducedMotion: 'reduce' },
    trace: 'off',
    screenshot: 'only-on-failure',
    launchOptions: { executablePath, args },
  },
  webServer: Array.from({ length: WORKERS }, (_, worker) => ({
    command: 'bash tests/Browser/serve.sh',
    url: `http://127.0.0.1:${portOf(worker)}/sign-in`,
    env: { HARMOZON_TEST_PORT: String(portOf(worker)) },
    timeout: 60_000,
  })),
});
