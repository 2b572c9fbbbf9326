// A week of use of the pages, and every figure they showed on the way, one page after the other as text. Run over two builds of the
// program and compared, it tells whether a rebuilt house still says the same.
// Usage: node bench/replay.mjs FILE [FOLDER OF THE BUILT PROGRAM]; then: diff BEFORE AFTER
import { execSync, spawn } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '../web/node_modules/@playwright/test/index.mjs'

const PORT = 5389
const home = `http://127.0.0.1:${PORT}`
const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const [file, built = join(root, 'build/app')] = process.argv.slice(2)
const data = mkdtempSync(join(tmpdir(), 'wendrak-replay-'))
const sleep = (ms) => new Promise((done) => setTimeout(done, ms))

const server = spawn('dotnet', [join(built, 'Wendrak.Web.dll'), '--data', data, '--port', String(PORT)], { stdio: 'ignore' })
while (!(await fetch(`${home}/health/live`).then((r) => r.ok, () => false))) await sleep(50)
const browser = await chromium.launch({
  executablePath: execSync('command -v chromium', { encoding: 'utf8', shell: '/bin/bash' }).trim(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
const page = await (await browser.newContext({ locale: 'en-GB', viewport: { width: 1280, height: 800 } })).newPage()
page.setDefaultTimeout(15_000)

const said = []
/** What stands on the page once nothing moves on it any more: its text, and what its fields hold. */
async function note(title) {
  let before = ''
  for (let i = 0; i < 40; i++) {
    await page.waitForLoadState('networkidle')
    await sleep(150)
    const now = await page.evaluate(() => {
      // A toast goes by itself, sooner or later.
      for (const toast of document.querySelectorAll('.mantine-Notification-root')) toast.style.display = 'none'
      return [
        document.body.innerText,
        ...[...document.querySelectorAll('input')].map((f) => `${f.getAttribute('aria-label') ?? f.labels?.[0]?.innerText}: ${f.value}`),
      ].join('\n')
    })
    if (now === before && !/Computing …|Opening …|\n…\n/.test(now)) break
    before = now
  }
  said.push(`== ${title}`, before.replace(/\b\d\d:\d\d\b/g, 'hh:mm'))
}
const open = async (path, title = path) => {
  await page.goto(home + path)
  await note(title)
}
const press = async (name, title) => {
  await page.getByRole('button', { name, exact: true }).first().click()
  if (title) await note(title)
}
/** Every working that stands on the page, opened one after the other. */
async function workings(title) {
  const buttons = page.locator('button').filter({ hasText: /^(show the working|working)$/ })
  for (let i = 0; i < (await buttons.count()); i++) {
    await buttons.nth(i).click()
    await note(`${title}: working ${i + 1}`)
    await page.keyboard.press('Escape')
    await page.getByRole('dialog').waitFor({ state: 'detached' })
  }
}

const machines = await (await fetch(`${home}/api/machines`)).json()
const named = (name) => machines.find((m) => m.machine.name === name)
await open('/', 'the yard')
for (const { machine, summary } of machines) {
  const at = `/machines/${machine.id}`
  for (const station of ['aim', 'ratio', 'fit', 'loads', 'set']) {
    for (const loop of summary.loops.length > 1 && station !== 'aim' ? summary.loops : [undefined]) {
      await open(`${at}/${station}${loop ? `?loops=${loop.loopKey}` : ''}`, `${machine.name} ${station} ${loop?.loopKey ?? ''}`)
      await workings(`${machine.name} ${station} ${loop?.loopKey ?? ''}`)
    }
  }
  for (const loop of summary.loops) {
    const pick = `loops=${loop.loopKey}&pick=${loop.loopKey}~${loop.frontSize}~${loop.rearSize + 1}`
    for (const station of ['ratio', 'fit', 'loads']) await open(`${at}/${station}?${pick}`, `${machine.name} ${station}, ${loop.loopKey} one up`)
  }
}

// Monday to Friday on one motorcycle: another gearing, loads, fitting it, and a visit from as found to closed.
const curlew = named('Curlew')
const at = `/machines/${curlew.machine.id}`
await open(`${at}/ratio?pick=final~16~43`, 'a pair is picked')
await press('Keep as a trial', 'kept as a trial')
await press('Side by side', 'side by side')
await page.keyboard.press('Escape')
await page.locator('nav a', { hasText: 'Loads' }).first().click()
await note('loads of the trial')
await page.getByLabel(/mass/i).first().fill('310')
await note('another mass')
await page.reload()
await page.locator('nav a', { hasText: 'Ratio' }).first().click()
await page.getByRole('button', { name: /^Fit Trial/ }).first().click()
await note('fitted')
await open(`${at}/set`, 'to be set')
await press('Begin as found', 'begun')
const read = async (title, ...values) => {
  for (const value of values) {
    await page.getByLabel('Free play in all').fill(String(value))
    await page.getByLabel('Free play in all').press('Enter')
    await note(`${title}: ${value}`)
  }
}
await read('as found', 55, 52, 48, 51)
await press('Keep as found', 'kept as found')
await read('round 1', 33, 31, 29, 31)
await press('Keep this round', 'round 1 kept')
await read('round 2', 34, 32, 29, 31)
await press('Keep this round', 'round 2 kept')
await open(`${at}/set`, 'opened again')
await open(`${at}/fit`, 'fit, once more')

writeFileSync(file, said.join('\n'))
console.log(`${said.length / 2} pages, ${said.join('\n').length} letters`)
await browser.close()
server.kill()
