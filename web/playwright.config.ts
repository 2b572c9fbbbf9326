import { execSync } from 'node:child_process'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { defineConfig } from '@playwright/test'

const PORT = 5377
const data = mkdtempSync(join(tmpdir(), 'wendrak-e2e-'))
const chromium = execSync('command -v chromium', { encoding: 'utf8', shell: '/bin/bash' }).trim()

/** A real server with a throw-away database, and Debian's browser. */
export default defineConfig({
  testDir: '../tests/e2e',
  timeout: 60_000,
  // One server and one database: tests make machines of their own and do not run side by side.
  workers: 1,
  retries: process.env.CI ? 1 : 0,
  reporter: [['list'], ['json', { outputFile: 'test-results/e2e.json' }]],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    viewport: { width: 1280, height: 800 },
    colorScheme: 'light',
    locale: 'en-GB',
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
  webServer: {
    command: `../run --data ${data} --port ${PORT}`,
    url: `http://127.0.0.1:${PORT}/health`,
    timeout: 300_000,
    reuseExistingServer: false,
  },
})
