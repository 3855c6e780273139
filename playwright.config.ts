import { defineConfig } from '@playwright/test'
import { CHROMIUM_FLAGS } from './scripts/tools/chromium-flags.mjs'
import { headlessPath } from './scripts/tools/chromium-paths.mjs'

const port = Number(process.env.TEST_PORT ?? 8497)

/** What is told of time holds only where nothing else is tested meanwhile; and what changes this machine's networks would break off what others load. */
const ALONE = ['killed.spec.ts', 'other-host.spec.ts']

/** Browser tests: the built app in Debian's chromium, served as users have it. */
export default defineConfig({
  testDir: 'tests',
  // generous: a noisy machine may be slow, and no test is about speed
  timeout: 180_000,
  expect: { timeout: 40_000 },
  workers: 2,
  fullyParallel: true,
  forbidOnly: !!process.env.CI,
  retries: 0,
  reporter: process.env.TEST_REPORT ? [['line'], ['json', { outputFile: process.env.TEST_REPORT }]] : 'line',
  outputDir: 'test-results',
  projects: [
    { name: 'together', testIgnore: ALONE },
    { name: 'alone', testMatch: ALONE, dependencies: ['together'], workers: 1 },
  ],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    // of somebody who has been here before: the first walk has a test of its own
    storageState: {
      cookies: [],
      origins: [
        {
          origin: `http://127.0.0.1:${port}`,
          localStorage: [{ name: 'lucky-twin.walked', value: 'true' }],
        },
      ],
    },
    launchOptions: {
      executablePath: headlessPath(),
      args: CHROMIUM_FLAGS,
    },
  },
  webServer: {
    command: 'node dist/node/server.js',
    url: `http://127.0.0.1:${port}/healthz`,
    env: { PORT: String(port), HOST: '127.0.0.1' },
    reuseExistingServer: false,
  },
})
