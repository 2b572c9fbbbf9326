import { execSync } from 'node:child_process'
import { defineConfig } from '@playwright/test'

const chromium = execSync('command -v chromium-headless-shell', {
  encoding: 'utf8',
  shell: '/bin/bash',
}).trim()

/** Debian's browser against the real program: see ../tests/e2e/server.ts. */
export default defineConfig({
  testDir: '../tests/e2e',
  globalSetup: '../tests/e2e/build.ts',
  // A busy machine gives a page a tenth of its time: what comes in the end is waited for, what does not come fails all the same.
  timeout: 240_000,
  expect: { timeout: 30_000 },
  workers: 2,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    locale: 'en-GB',
    // What stands between page and program is looked at by one test of its own.
    serviceWorkers: 'block',
    // Nobody waits for what slides and fades.
    contextOptions: { reducedMotion: 'reduce' },
    launchOptions: {
      executablePath: chromium,
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
})
