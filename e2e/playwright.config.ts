import { defineConfig } from '@playwright/test'
import { chromiumFlags } from '../scripts/lib/chromium.mjs'

export default defineConfig({
  testDir: '.',
  outputDir: '../.cache/e2e',
  // each test has a project of its own; what measures the processor is tagged @alone and runs by itself (scripts/lib/testRuns.mjs)
  fullyParallel: true,
  workers: 3,
  // a machine that is busy with others is slow, not wrong
  timeout: 120_000,
  retries: 0,
  expect: { timeout: 20_000 },
  reporter: [['line'], ['json']],
  use: {
    baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:4180',
    viewport: { width: 1280, height: 800 },
    // recording every test costs as much as running it: HEDRION_TRACE=1 records those that fail
    trace: process.env['HEDRION_TRACE'] ? 'retain-on-failure' : 'off',
    screenshot: 'only-on-failure',
    launchOptions: {
      executablePath: process.env['HEDRION_CHROMIUM'] ?? '/usr/bin/chromium',
      chromiumSandbox: false,
      args: chromiumFlags,
    },
  },
})
