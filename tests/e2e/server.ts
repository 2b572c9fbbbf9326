import { type ChildProcess, spawn } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { type BrowserContext, test as base, type Page } from '@playwright/test'

export { type APIRequestContext, chromium, expect, type Locator, type Page } from '@playwright/test'

/** The program as ./run built it, on a free port and a throw-away folder with the demo data. */
class Server {
  url = ''
  private process: ChildProcess | undefined
  private folder = ''
  private port = 0
  private demo = new Blob()

  async start() {
    this.port = await freePort()
    this.folder = mkdtempSync(join(tmpdir(), 'wendrak-e2e-'))
    this.url = `http://127.0.0.1:${this.port}`
    await this.begin()
    this.demo = await (await fetch(`${this.url}/api/backups/whole`)).blob()
  }

  /** Starts it with the data that is there. */
  async begin() {
    const program = resolve('../build/app/Wendrak.Web.dll')
    this.process = spawn('dotnet', [program, '--data', this.folder, '--port', String(this.port)], {
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

  /** Goes back to the demo data as it was when it started. */
  async beginAnew() {
    const send = (path: string, type: string, body: BodyInit) =>
      fetch(`${this.url}/api/backups/${path}`, { method: 'POST', headers: { 'content-type': type }, body })
    const { token } = await (await send('preview', 'application/octet-stream', this.demo)).json()
    const answer = await send('restore', 'application/json', JSON.stringify({ token }))
    if (!answer.ok) throw new Error(`The demo data did not come back: ${await answer.text()}`)
  }

  async kill() {
    const process = this.process
    if (!process || process.exitCode !== null) return
    const ended = new Promise((done) => process.once('exit', done))
    process.kill('SIGKILL')
    await ended
  }

  async stop() {
    await this.kill()
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

interface OfWorker {
  file: string
  server: Server
  context: BrowserContext | undefined
}

const VIEWPORT = { width: 1280, height: 800 }
const HEARD = ['request', 'response', 'requestfinished', 'requestfailed', 'console', 'pageerror'] as const

/** What a test did to its page, its colours, its size and what it keeps, is not there for the next one. */
async function clear(page: Page, url: string) {
  for (const event of HEARD) page.removeAllListeners(event)
  await page.unrouteAll({ behavior: 'ignoreErrors' })
  const forget = () => {
    localStorage.clear()
    sessionStorage.clear()
  }
  await page.evaluate(forget).catch(() => {}) // a page that shows nothing keeps nothing
  // To a plain text of the same server: from there the next page opens in half the time it takes from a blank one, for
  // which the browser ends the process that holds what it read.
  await page.goto(`${url}/health/live`).catch(() => page.goto('about:blank'))
  await page.evaluate(forget).catch(() => {})
  await page.setViewportSize(VIEWPORT)
  await page.emulateMedia({ media: null, colorScheme: 'light' })
}

/**
 * Every file begins with the demo data as it ships, which the server of its worker goes back to; its tests make machines of
 * their own. They share a page, whose browser then has read the program's files already, and nothing of what it keeps.
 */
export const test = base.extend<{ server: Server }, { ofWorker: OfWorker }>({
  ofWorker: [
    // biome-ignore lint/correctness/noEmptyPattern: Playwright reads from it which fixtures are wanted
    async ({}, use) => {
      const held: OfWorker = { file: '', server: new Server(), context: undefined }
      await held.server.start()
      await use(held)
      await held.server.stop()
    },
    { scope: 'worker' },
  ],
  server: async ({ ofWorker }, use) => use(ofWorker.server),
  baseURL: async ({ ofWorker }, use, info) => {
    if (ofWorker.file !== info.file) {
      await ofWorker.context?.close()
      ofWorker.context = undefined
      if (ofWorker.file) await ofWorker.server.beginAnew()
      ofWorker.file = info.file
    }
    await use(ofWorker.server.url)
  },
  context: async ({ ofWorker, browser, baseURL }, use) => {
    ofWorker.context ??= await browser.newContext({ baseURL })
    await use(ofWorker.context)
    const [first, ...others] = ofWorker.context.pages()
    for (const other of others) await other.close()
    if (first) await clear(first, ofWorker.server.url)
  },
  page: async ({ context }, use) => {
    await use(context.pages()[0] ?? (await context.newPage()))
  },
})
