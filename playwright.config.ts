import { defineConfig } from '@playwright/test';
import chromium from './scripts/chromium.json';

const PORT = 4270;

export default defineConfig({
  testDir: 'tests/e2e',
  outputDir: 'test-results/e2e',
  reporter: [['list'], ['json']],
  workers: 2,
  fullyParallel: true,
  projects: [
    { name: 'by themselves', testIgnore: /whole-house/u },
    { name: 'the whole house', testMatch: /whole-house/u, dependencies: ['by themselves'] },
  ],
  retries: 0,
  timeout: 60_000,
  expect: { timeout: 15_000 },
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-failure',
    launchOptions: {
      executablePath: chromium.path,
      args: chromium.flags,
    },
  },
  webServer: {
    command: `node tests/support/serve.mjs ${PORT}`,
    url: `http://127.0.0.1:${PORT}`,
    timeout: 60_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
  },
});
