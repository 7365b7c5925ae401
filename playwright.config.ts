import { defineConfig } from '@playwright/test';
import chromium from './scripts/chromium.json';

const PORT = 4270;
/** Of the house without demo data: `tests/e2e/come-in.spec.ts`. */
const HOUSE_PORT = 4271;

/** A server of its own: the demo course, or a house that nobody has come to yet. */
function served(port: number, what: 'demo' | 'house') {
  return {
    command: `node tests/support/serve.mjs ${port} ${what}`,
    url: `http://127.0.0.1:${port}/sign-in`,
    timeout: 120_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 } as const,
  };
}

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
  // Generous: a test waits for a state, and a slow machine comes to it later.
  timeout: 240_000,
  expect: { timeout: 60_000 },
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    // Tracing takes a fifth of the time: `MIVVET_TRACE=1 npx playwright test NAME` shows what went wrong.
    trace: process.env['MIVVET_TRACE'] ? 'on' : 'off',
    launchOptions: {
      executablePath: chromium.path,
      args: chromium.flags,
    },
  },
  webServer: [served(PORT, 'demo'), served(HOUSE_PORT, 'house')],
});
