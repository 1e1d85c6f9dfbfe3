import { defineConfig } from '@playwright/test';

/** Flags for a machine without display, without sandbox rights and without a network beyond loopback. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

export default defineConfig({
  testDir: 'tests/e2e',
  globalSetup: './tests/e2e/start.ts',
  workers: 2,
  fullyParallel: true,
  retries: 0,
  // A slow machine is no failure: what hangs is told by the expectations, each with its own limit.
  timeout: 120_000,
  expect: { timeout: 20_000 },
  outputDir: '.data/test-results',
  reporter: [['list'], ['json']],
  use: {
    // Set by the start of the run, before the workers read this file.
    baseURL: process.env.VELVET_URL,
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: '/usr/bin/chromium-headless-shell', args: CHROMIUM_FLAGS },
    trace: 'off',
  },
});
