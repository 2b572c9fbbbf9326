import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { type BrowserContext, test as base } from '@playwright/test'

export { type APIRequestContext, chromium, expect, type Locator, type Page } from '@playwright/test'

/** The program as ./run built it, on a free port and a throw-away folder with the demo data. */
class Server {
  url = ''
  private process: ChildProcess | undefined
  private folder = ''

  async start() {
    const port = await freePort()
    this.folder = mkdtempSync(join(tmpdir(), 'wendrak-e2e-'))
    this.url = `http://127.0.0.1:${port}`
    const program = resolve('../build/app/Wendrak.Web.dll')
    this.process = spawn('dotnet', [program, '--data', this.folder, '--port', String(port)], {
      stdio: 'ignore',
    })
    for (let tries = 0; tries < 300; tries++) {
      if (
        await fetch(`${this.url}/health/live`).then(
          (r) => r.ok,
          () => false,
        )
      )
        return
      if (this.process.exitCode !== null) break
      await new Promise((after) => setTimeout(after, 50))
    }
    throw new Error('The server did not come up.')
  }

  async stop() {
    const process = this.process
    if (!process || process.exitCode !== null) return
    const ended = new Promise((done) => process.once('exit', done))
    process.kill('SIGKILL')
    await ended
    rmSync(this.folder, { recursive: true })
  }
}

const freePort = () =>
  new Promise<number>((found) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const address = probe.address()
      probe.close(() => found(typeof address === 'object' && address ? address.port : 0))
    })
  })

interface OfFile {
  file: string
  server: Server
  context: BrowserContext | undefined
}

/**
 * Every file begins with the demo data as it ships, on a server of its own; its tests make machines of their own. They
 * share what the browser keeps of the program's files, and nothing of what it keeps for the user.
 */
export const test = base.extend<object, { ofFile: OfFile }>({
  ofFile: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from it which fixtures are wanted
    async ({}, use) => {
      const held: OfFile = { file: '', server: new Server(), context: undefined }
      await use(held)
      await held.server.stop()
    },
    { scope: 'worker' },
  ],
  baseURL: async ({ ofFile }, use, info) => {
    if (ofFile.file !== info.file) {
      await ofFile.context?.close()
      ofFile.context = undefined
      await ofFile.server.stop()
      await ofFile.server.start()
      ofFile.file = info.file
    }
    await use(ofFile.server.url)
  },
  context: async ({ ofFile, browser, baseURL }, use) => {
    ofFile.context ??= await browser.newContext({ baseURL })
    await use(ofFile.context)
    for (const page of ofFile.context.pages()) {
      const forget = () => {
        localStorage.clear()
        sessionStorage.clear()
      }
      await page.evaluate(forget).catch(() => {}) // a page that shows nothing keeps nothing
      await page.close()
    }
  },
})
