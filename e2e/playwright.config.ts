import { defineConfig } from '@playwright/test'
import { chromiumFlags } from '../scripts/lib/chromium.mjs'

export default defineConfig({
  testDir: '.',
  outputDir: '../.cache/e2e',
  workers: 1,
  // a machine that is busy with others is slow, not wrong
  timeout: 120_000,
  // and a stall at the wrong moment is no fault of the product: docs/decisions/011
  retries: 1,
  expect: { timeout: 20_000 },
  reporter: [['line'], ['json']],
  use: {
    baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:4180',
    viewport: { width: 1280, height: 800 },
    trace: 'retain-on-first-failure',
    launchOptions: {
      executablePath: process.env['HEDRION_CHROMIUM'] ?? '/usr/bin/chromium',
      chromiumSandbox: false,
      args: chromiumFlags,
    },
  },
})
