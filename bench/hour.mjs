// What the program weighs after an hour of one person's work: pages opened, teeth picked, masses typed, trials kept, visits made, with
// the pauses a person makes. Usage: node bench/hour.mjs [MINUTES] [FOLDER OF THE BUILT PROGRAM] [PACE]; then every
// fifth minute is a line. A pace of 2 thinks half as long: as many deeds in less time, and fewer quiet seconds.
import { execSync, spawn } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { chromium } from '../web/node_modules/@playwright/test/index.mjs'
import { AS_RUN } from './load.mjs'

const PORT = 5391
const home = `http://127.0.0.1:${PORT}`
const root = join(dirname(fileURLToPath(import.meta.url)), '..')
const [minutes = '60', built = join(root, 'build/app'), pace = '1'] = process.argv.slice(2)
const data = mkdtempSync(join(tmpdir(), 'wendrak-hour-'))
const sleep = (ms) => new Promise((done) => setTimeout(done, ms))

const server = spawn('dotnet', [join(built, 'Wendrak.Web.dll'), '--data', data, '--port', String(PORT)], {
  stdio: 'ignore',
  env: AS_RUN,
})
while (!(await fetch(`${home}/health/live`).then((r) => r.ok, () => false))) await sleep(50)
const browser = await chromium.launch({
  executablePath: execSync('command -v chromium-headless-shell', { encoding: 'utf8', shell: '/bin/bash' }).trim(),
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
})
const page = await (await browser.newContext({ locale: 'en-GB', viewport: { width: 1280, height: 800 } })).newPage()
page.setDefaultTimeout(20_000)

const memory = (name) => Number(new RegExp(`${name}:\\s+(\\d+)`).exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))[1]) / 1024
const machines = await (await fetch(`${home}/api/machines`)).json()
const one = (list) => list[Math.floor(Math.random() * list.length)]
const think = () => sleep((1_000 + Math.random() * 4_000) / Number(pace))
const at = (path) => page.goto(home + path)
// What has gone meanwhile can't.
const canPress = (button) => button.isEnabled({ timeout: 500 }).catch(() => false)
const field = (name) => page.getByLabel(name).first()

const deeds = {
  'looks at the yard': () => at('/'),
  'looks at the stock': () => at('/stock'),
  'looks at a station': () => at(`/machines/${one(machines).machine.id}/${one(['aim', 'ratio', 'fit', 'loads', 'build', 'set', 'check'])}`),
  'looks at what a change brought': () => at(`/machines/${one(machines).machine.id}/check?view=brought`),
  'writes a fill down': async () => {
    await at(`/machines/${machines.find((m) => m.machine.name === 'Curlew').machine.id}/check?view=brought`)
    await field('Odometer').fill(String(18_500 + done))
    await field('Filled in').fill('5')
    await page.getByRole('button', { name: 'Write it down' }).click()
  },
  'picks teeth': async () => {
    const { machine, summary } = one(machines)
    const loop = summary.loops[0]
    for (let more = 0; more < 4; more++) {
      await at(`/machines/${machine.id}/${one(['ratio', 'fit', 'loads'])}?pick=${loop.loopKey}~${loop.frontSize}~${loop.rearSize + more}`)
      await think()
    }
  },
  'types a mass': async () => {
    await at(`/machines/${one(machines).machine.id}/loads`)
    await field(/mass/i).fill(String(100 + Math.floor(Math.random() * 200)))
  },
  'sets a chain': async () => {
    await at(`/machines/${machines.find((m) => m.machine.name === 'Curlew').machine.id}/set`)
    const begin = page.getByRole('button', { name: 'Begin as found' })
    await page.getByText(/Begin as found|Free play in all/).first().waitFor()
    if (await canPress(begin)) await begin.click({ timeout: 2_000 }).catch(() => {}) // it was begun meanwhile
    for (let i = 0; i < 4; i++) {
      await field('Free play in all').fill(String(30 + Math.floor(Math.random() * 25)))
      await field('Free play in all').press('Enter')
      await think()
    }
    const keep = page.getByRole('button', { name: /^Keep (as found|this round)$/ }).first()
    if (await canPress(keep)) await keep.click()
  },
}

const start = Date.now()
const passed = () => (Date.now() - start) / 60_000
let done = 0
let failed = 0
let next = 0
for (; passed() < Number(minutes); done++) {
  const [name, deed] = one(Object.entries(deeds))
  await deed().catch((e) => console.log(`${name}: ${e.message.split('\n')[0]}`, ++failed))
  await think()
  if (passed() < next) continue
  console.log(`${passed().toFixed(0)} min, ${done} deeds: ${memory('VmRSS').toFixed(0)} MB, at most ${memory('VmHWM').toFixed(0)} MB`)
  next += 5
}
console.log(`after ${passed().toFixed(0)} min and ${done} deeds (${failed} failed): ${memory('VmRSS').toFixed(0)} MB, at most ${memory('VmHWM').toFixed(0)} MB (budget 150)`)
await browser.close()
server.kill()
rmSync(data, { recursive: true })
